# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # How far a job has come, and what a step still waits for.
      class Progress
        # proof: PlanVerifier of the job; placed: its order; done: keys of what is done, or was answered for.
        def initialize(verifier, placed, done)
          @verifier = verifier
          @placed = placed
          @done = done.to_h { |key| [key, true] }
          @rank = placed.each_with_index.to_h { |each, index| [each.key, index] }
        end

        # What every open step waits for: [[PlannedStep, [PlannedStep]]]
        def waits = still_open.map { |placed| [placed, waits_for(placed)] }

        # Earlier steps that are still open and without which this one may not begin: every mandatory step of its own
        # wheel, of the whole lift and of earlier lifts, and whatever else it asks for. -> [PlannedStep]
        def waits_for(placed)
          still_open
            .take_while { |each| @rank[each.key] < @rank[placed.key] }
            .select do |earlier|
              (earlier.step.mandatory && bars?(earlier, placed)) || @verifier.asks_for?(placed, earlier)
            end
        end

        # Gates of these stages that are open.
        def open_mandatory(stages)
          still_open.select { |each| each.step.mandatory && stages.include?(each.step.stage) }
        end

        private

        def still_open = @still_open ||= @placed.reject { |each| @done.key?(each.key) }
        def bars?(mandatory, placed) = mandatory.lift != placed.lift || @verifier.concerns?(mandatory, placed)
      end
    end
  end
end
