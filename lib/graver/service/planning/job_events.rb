# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # What the use cases of jobs share: events are only added, and none to a job that is closed.
      class JobEvents
        LONGEST_NOTE = 500

        def initialize(context)
          @context = context
          @store = context.store
          @plans = JobPlan.new(context)
        end

        private

        def record(job, kind, value)
          @store.jobs.record_event(job.id, kind, value, at: @context.now)
          @store.jobs.find(job.id)
        end

        def put(id, kind, value)
          job = going(id)
          @store.transaction { record(job, kind, value) }
        end

        def going(id)
          @store.jobs.find(id).tap do |job|
            raise InvalidEntry.of("state", "job_closed", "this job is #{job.state}") if job.over?
          end
        end

        def placed(job) = @plans.ordered(job).placed || []
        # Raises InvalidEntry.
        def step(job, key) = placed(job).find { |each| each.key == key } || raise(InvalidEntry.of("step", "unknown_step", "this job has no such step"))

        def require_ready(job)
          return true if %w[ready started].include?(job.state)

          raise InvalidEntry.of("state", "not_ready", "mark the job as ready first: see what is missing")
        end

        # A reason in the owner's words. Raises InvalidEntry.
        def words(field, text)
          text = text.to_s.strip
          raise InvalidEntry.of(field, "missing", "say it in a few words") if text.empty?

          text.length > LONGEST_NOTE ? raise(InvalidEntry.of(field, "too_long", "at most #{LONGEST_NOTE} letters")) : text
        end
      end
    end
  end
end
