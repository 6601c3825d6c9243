# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The state of the brake in the middle of a job, from its ticks in order.
      class JobState
        # ordered: Steps::Ordered of the job
        def initialize(knowledge, ordered)
          @procedure = knowledge.procedure
          @places = Core::Planning::FactPlaces.new(@procedure, ordered.lifts)
          @steps = [*ordered.base, *ordered.placed].to_h { |placed| [placed.key, placed] }
        end

        # Storage::Job -> Core::Planning::BrakeState
        def call(job)
          done = job.basis ? job.basis.fetch("done").dup : []
          held = job.basis ? job.basis.fetch("held") : []
          job
            .since
            .reduce(Core::Planning::BrakeState.new(@procedure, held)) do |state, (kind, key)|
              placed = @steps[key]
              kind == "unticked" ? undo(state, placed, done, key) : work(state, placed, done, key)
            end
        end

        private

        def work(state, placed, done, key)
          return state if done.include?(key)

          done << key
          placed ? state.after(@places.of(placed)) : state
        end

        def undo(state, placed, done, key)
          done.delete(key) && placed ? state.before(@places.of(placed)) : state
        end
      end
    end
  end
end
