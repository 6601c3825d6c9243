# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # How far a job has come, and what a step still waits for.
      class Progress
        # proof: Proof of the job; placed: its order; done: keys of what is done, or was answered for.
        def initialize(proof, placed, done)
          @proof = proof
          @placed = placed
          @done = done.to_h { |key| [key, true] }
          @rank = placed.each_with_index.to_h { |each, index| [each.key, index] }
        end

        # What every open step waits for: [[Placed, [Placed]]]
        def waits = still_open.map { |placed| [placed, waits_for(placed)] }

        # Earlier steps that are still open and without which this one may not begin: every gate of its own wheel, of
        # the whole lift and of earlier lifts, and whatever else it asks for. -> [Placed]
        def waits_for(placed)
          still_open
            .take_while { |each| @rank[each.key] < @rank[placed.key] }
            .select { |earlier| (earlier.step.gate && bars?(earlier, placed)) || @proof.asks_for?(placed, earlier) }
        end

        # Gates of these stages that are open.
        def open_gates(stages)
          still_open.select { |each| each.step.gate && stages.include?(each.step.stage) }
        end

        private

        def still_open = @still_open ||= @placed.reject { |each| @done.key?(each.key) }
        def bars?(gate, placed) = gate.lift != placed.lift || @proof.concerns?(gate, placed)
      end
    end
  end
end
