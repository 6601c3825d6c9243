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
        end

        # Earlier steps that are still open and without which this one may not begin: every gate of its own wheel, of
        # the whole lift and of earlier lifts, and whatever else it asks for. -> [Placed]
        def waits_for(placed)
          before = @placed.take_while { |each| each.key != placed.key }
          before.select do |earlier|
            open?(earlier) && ((earlier.step.gate && bars?(earlier, placed)) || @proof.asks_for?(placed, earlier))
          end
        end

        # Gates of these stages that are open.
        def open_gates(stages)
          @placed.select { |each| each.step.gate && stages.include?(each.step.stage) && open?(each) }
        end

        private

        def open?(placed) = !@done.key?(placed.key)
        def bars?(gate, placed) = gate.lift != placed.lift || @proof.concerns?(gate, placed)
      end
    end
  end
end
