# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # What is done of a job, step by step. A step that waits for another is refused; one that was done another way is
      # answered for, with its reason, which stays on job and vehicle until it is made good.
      class JobTicks < JobEvents
        # Stages in which nothing goes back on yet, so that what was found out holds nothing up.
        BEFORE_REFITTING = %w[ready safe strip clean].freeze

        # keys: of steps of this job that are one movement ("front.left.wheel_off", "settle"), in their order -> Storage::Job.
        # All of them or none. Raises InvalidEntry, NotFound.
        def tick(id, keys, done)
          job = going(id)
          steps = keys.map { |key| step(job, key) }
          steps.each_with_index { |placed, at| check(job, placed, keys.take(at)) } if done
          @store.transaction do
            begin_work(job, steps) if done
            keys.each { |key| record(job, done ? "ticked" : "unticked", key) }
          end
          @store.jobs.find(id)
        end

        # The owner did a step another way, or without it. Never one of those that kill. Raises InvalidEntry, NotFound.
        def otherwise(id, key, because)
          job = going(id)
          placed = step(job, key)
          raise InvalidEntry.of("because", "never", Texts.say("jobs.kills")) if placed.step.kills

          because = words("because", because)
          check(job, placed)
          @store.transaction do
            begin_work(job, [placed])
            record(job, "otherwise", { step: key, because:, text: placed.step.text })
          end
        end

        # What was left out is made good, on a job that may be closed. Raises InvalidEntry, NotFound.
        def clear(id, key)
          job = @store.jobs.find(id)
          unless job.otherwise.key?(key) && !job.cleared.include?(key)
            raise InvalidEntry.of("step", "unknown_step", Texts.say("jobs.nothing_open"))
          end

          @store.transaction { record(job, "cleared", key) }
        end

        private

        def begin_work(job, steps)
          job.state == "ready" && steps.any? { |placed| placed.step.stage != "ready" } && record(job, "started", nil)
        end

        # also: keys done in the same breath. Raises InvalidEntry.
        def check(job, placed, also = [])
          require_ready(job) unless placed.step.stage == "ready"
          refuse_waiting(job, placed, also)

          halts = halts(job, placed)
          raise InvalidEntry.of("step", "replan", halts.map(&:text).join(" ")) if halts.any?
        end

        # Readings that changed what has to be done bar what refits that axle, and what is done for all.
        def halts(job, placed)
          return [] if BEFORE_REFITTING.include?(placed.step.stage)

          @plans.halts(job).select { |halt| [nil, halt.axle.name].include?(placed.axle) }
        end
      end
    end
  end
end
