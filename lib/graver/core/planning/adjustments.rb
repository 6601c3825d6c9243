# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What an owner changes of the planner's order: steps left out, steps of their own put in, steps moved. Each
      # change is proved; one that would break the order (or would leave out a gate) is set aside, the rest stands.
      class Adjustments
        # action: "drop", "insert" or "move"; key: of a step, or the own step's id; after: key it follows, nil: first;
        # text: of an own step.
        Adjustment = Value.define(:action, :key, :after, :text)
        # set_aside: [[Adjustment, [Proof::Fault] or :gate or :gone]]
        Result = Value.define(:placed, :set_aside)

        # held, done: where the job stands, as in Proof#call
        def initialize(proof, held: [], done: [])
          @proof = proof
          @held = held
          @done = done
        end

        # base: [Placed], proved before; adjustments in the order they were made -> Result
        def call(base, adjustments)
          adjustments.reduce(Result.new(placed: base, set_aside: [])) do |result, adjustment|
            changed = apply(result.placed, adjustment)
            faults = changed.is_a?(Symbol) ? changed : @proof.call(changed, held: @held, done: @done)
            next result.with(placed: changed) if faults.respond_to?(:empty?) && faults.empty?

            result.with(set_aside: result.set_aside + [[adjustment, faults]])
          end
        end

        private

        def apply(placed, adjustment)
          case adjustment.action
          when "drop"
            drop(placed, adjustment)
          when "insert"
            insert(placed, adjustment)
          when "move"
            move(placed, adjustment)
          end
        end

        def drop(placed, adjustment)
          found = placed.find { |each| each.key == adjustment.key } or return :gone
          found.step.gate ? :gate : without(placed, found)
        end

        def move(placed, adjustment)
          found = placed.find { |each| each.key == adjustment.key } or return :gone
          after(without(placed, found), adjustment.after, found)
        end

        def without(placed, found) = placed.reject { |each| each.equal?(found) }

        # An own step belongs where the step it follows belongs.
        def insert(placed, adjustment)
          before = placed.find { |each| each.key == adjustment.after } || (placed.first if adjustment.after.nil?)
          return :gone unless before

          own =
            before.with(
              step:
                @proof.procedure.guarded(Step.own(id: adjustment.key, stage: before.step.stage, text: adjustment.text))
            )
          after(placed, adjustment.after, own)
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
