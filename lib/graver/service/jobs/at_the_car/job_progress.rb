# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The progress of a job: only what a tick changes.
      class JobProgress
        # job: Storage::Job; waits: { key of an open step => keys it waits for }; halted: do readings made since stop
        # it?
        Progress = Core::Value.define(:job, :waits, :halted)
        # The number of steps named that a step waits for.
        MOST_NAMED = 3

        def initialize(context)
          @context = context
          @plans = JobPlan.new(context)
        end

        # Raises NotFound.
        def find(id) = call(@context.store.jobs.find(id))

        # Storage::Job -> Progress
        def call(job)
          Progress.new(
            job:,
            waits: self.class.waits(@context.knowledge, @plans.ordered(job), job),
            halted: @plans.halts(job).any?
          )
        end

        # Steps::Ordered, Storage::Job -> { key of an open step => keys of what it waits for }
        def self.waits(knowledge, ordered, job)
          return {} if ordered.placed.nil? || job.over?

          waits = Steps.new(knowledge).progress(ordered, job.done).waits
          waits.to_h { |placed, before| [placed.key, before.first(MOST_NAMED).map(&:key)] }
        end
      end
    end
  end
end
