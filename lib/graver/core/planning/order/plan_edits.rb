# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Applies the owner's changes to the planned order: steps left out, own steps added, steps moved. Each change is
      # verified; one that would break the order (or leave out a mandatory step) is set aside, the others stay.
      class PlanEdits
        # action: "drop", "insert" or "move"; key: of a step, or the own step's id; after: key it follows, nil: first;
        # text: of an own step.
        PlanEdit = Value.define(:action, :key, :after, :text)
        # set_aside: [[PlanEdit, [PlanVerifier::Violation] or :mandatory or :gone]]
        Result = Value.define(:placed, :set_aside)

        # held, done: where the job stands, as in PlanVerifier#call
        def initialize(verifier, held: [], done: [])
          @verifier = verifier
          @held = held
          @done = done
        end

        # base: [PlannedStep], proved before; plan_edits in the order they were made -> Result
        def call(base, plan_edits)
          plan_edits.reduce(Result.new(placed: base, set_aside: [])) do |result, plan_edit|
            changed = apply(result.placed, plan_edit)
            faults = changed.is_a?(Symbol) ? changed : @verifier.call(changed, held: @held, done: @done)
            next result.with(placed: changed) if faults.respond_to?(:empty?) && faults.empty?

            result.with(set_aside: result.set_aside + [[plan_edit, faults]])
          end
        end

        private

        def apply(placed, plan_edit)
          case plan_edit.action
          when "drop"
            drop(placed, plan_edit)
          when "insert"
            insert(placed, plan_edit)
          when "move"
            move(placed, plan_edit)
          end
        end

        def drop(placed, plan_edit)
          found = placed.find { |each| each.key == plan_edit.key } or return :gone
          found.step.mandatory ? :mandatory : without(placed, found)
        end

        def move(placed, plan_edit)
          found = placed.find { |each| each.key == plan_edit.key } or return :gone
          after(without(placed, found), plan_edit.after, found)
        end

        def without(placed, found) = placed.reject { |each| each.equal?(found) }

        # An own step belongs to the stage of the step it follows.
        def insert(placed, plan_edit)
          before = placed.find { |each| each.key == plan_edit.after } || (placed.first if plan_edit.after.nil?)
          return :gone unless before

          own =
            before.with(
              step:
                @verifier.procedure.guarded(Step.own(id: plan_edit.key, stage: before.step.stage, text: plan_edit.text))
            )
          after(placed, plan_edit.after, own)
        end

        def after(placed, key, added)
          return added, *placed if key.nil?

          at = placed.index { |each| each.key == key } or return :gone
          placed.dup.insert(at + 1, added)
        end
      end
    end
  end
end
