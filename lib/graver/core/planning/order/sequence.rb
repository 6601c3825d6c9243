# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Orders the steps of a procedure for the lifts of a job, so that no step comes before what it needs: shared steps
      # appear once, each corner in turn is stripped, cleaned and rebuilt, and then bled if it is to be.
      class Sequence
        # A step that needs itself in the end, or a step that does not exist.
        class Impossible < ArgumentError
          # ids of the steps that wait for each other
          attr_reader :steps

          def initialize(message, steps)
            @steps = steps
            super(message)
          end
        end

        def initialize(procedure, option_texts = OptionTexts.new)
          @procedure = procedure
          @option_texts = option_texts
          @rank = procedure.stages.each_with_index.to_h { |stage, at| [stage.id, at] }
        end

        # The step in the words of a corner's approaches.
        def tell(step, corner) = @option_texts.tell(step, corner.configuration.fetch("approaches", []))

        # [Lift]; restoring: with the steps that only repair what a changed plan left undone -> [PlannedStep]
        def call(lifts, restoring: false)
          all(lifts).reject { |placed| placed.step.restores && !restoring }
        end

        # The steps of the procedure in an order that respects every need, whatever the configuration.
        # Raises Impossible naming the steps that wait for each other.
        def order
          @order ||=
            [].tap do |done|
              waiting = @procedure.steps.sort_by.with_index { |step, at| [@rank.fetch(step.stage), at] }
              open = waiting.to_h { |step| [step.id, before(step) - [step.id]] }
              until waiting.empty?
                ready = waiting.find { |step| open.values_at(*open[step.id]).none? }
                unless ready
                  raise Impossible.new("steps wait for each other: #{waiting.map(&:id).join(", ")}", waiting.map(&:id))
                end

                done << waiting.delete(ready)
                open.delete(ready.id)
              end
            end
        end

        private

        def all(lifts)
          blocks.flat_map do |of, stages|
            if of == "job"
              stages.flat_map { |stage| shared(stage, lifts.flat_map(&:corners), nil) }
            else
              lifts.flat_map { |lift| lift(lift, stages, lift.equal?(lifts.last)) }
            end
          end
        end

        # Runs of stages done once for the job, and those between them, done for each lift.
        def blocks
          @blocks ||=
            @procedure
              .stages
              .chunk_while { |one, other| (one.of == "job") == (other.of == "job") }
              .map { |stages| [stages.first.of == "job" ? "job" : "lift", stages.map(&:id)] }
        end

        def by_stage = @by_stage ||= order.group_by(&:stage).tap { |found| found.default = [] }

        # Steps that come first in every configuration: its needs, and what adds the facts it requires or removes those
        # it forbids, unless that happens in a later stage.
        def before(step)
          facts =
            @procedure.steps.select do |other|
              @rank.fetch(other.stage) <= @rank.fetch(step.stage) &&
                (other.adds.intersect?(step.requires) || other.removes.intersect?(step.forbids))
            end
          step.needs.each do |id|
            @procedure.step(id) or raise Impossible.new("step #{step.id} needs #{id}, which is not there", [step.id])
          end
          step.needs + facts.map(&:id)
        end

        def lift(lift, stages, last)
          present = stages.reject { |stage| gathering?(stage) && shared(stage, lift.corners, lift.name).empty? }
          runs = present.chunk_while { |one, other| cornered?(one) && cornered?(other) }.to_a
          runs.flat_map { |run| cornered?(run.first) ? corners(lift, run, last) : once(lift, run.first) }
        end

        def cornered?(stage) = %w[corner between].include?(@procedure.stage(stage).of)

        def gathering?(stage) = @procedure.stage(stage).of == "gathering"

        def once(lift, stage)
          return shared(stage, lift.corners, lift.name) unless @procedure.stage(stage).of == "bleeding"

          lift.bleeding.flat_map { |corner| at_corner(stage, corner, lift.name) }
        end

        # Steps between corners also come before the next lift.
        def corners(lift, stages, last)
          own, between = stages.partition { |stage| @procedure.stage(stage).of == "corner" }
          lift.corners.each_with_index.flat_map do |corner, at|
            after = last && at == lift.corners.length - 1 ? [] : between
            (own + after).flat_map { |stage| at_corner(stage, corner, lift.name) }
          end
        end

        def at_corner(stage, corner, lift)
          by_stage[stage]
            .select { |step| step.applies?(corner.configuration) }
            .map { |step| PlannedStep.new(step: tell(step, corner), lift:, axle: corner.axle, side: corner.side) }
        end

        # A shared step applies if any corner needs it, and has the text of the first that does.
        def shared(stage, corners, lift)
          by_stage[stage].filter_map do |step|
            corner = corners.find { |each| step.applies?(each.configuration) }
            PlannedStep.new(step: tell(step, corner), lift:, axle: nil, side: nil) if corner
          end
        end
      end
    end
  end
end
