# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The progress of a job, and what each open step waits for.
      class Progress
        # verifier: PlanVerifier of the job; placed: its order; done: keys of steps done or answered for.
        def initialize(verifier, placed, done)
          @verifier = verifier
          @placed = placed
          @done = done.to_h { |key| [key, true] }
          @rank = placed.each_with_index.to_h { |each, index| [each.key, index] }
        end

        # What every open step waits for: [[PlannedStep, [PlannedStep]]]
        def waits = still_open.map { |placed| [placed, waits_for(placed)] }

        # Open earlier steps that must come before this one: every mandatory step of its own wheel, of the whole lift
        # and of earlier lifts, and whatever else it needs. -> [PlannedStep]
        def waits_for(placed)
          still_open
            .take_while { |each| @rank[each.key] < @rank[placed.key] }
            .select do |earlier|
              (earlier.step.mandatory && bars?(earlier, placed)) || @verifier.asks_for?(placed, earlier)
            end
        end

        # Open mandatory steps of these stages.
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
