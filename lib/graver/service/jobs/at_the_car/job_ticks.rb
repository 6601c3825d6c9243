# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Ticks steps of a job. Rejects a step that waits for another; a step done another way needs a reason, which stays
      # on job and vehicle until it is made good.
      class JobTicks < JobEvents
        # Stages before anything is refitted, so that a finding holds nothing up.
        BEFORE_REFITTING = %w[ready safe strip clean].freeze

        # keys: of neighbouring steps of this job that are one group ("front.left.wheel_off", "settle"), in their order;
        # seen: { key => StepSaid#digest that was read } -> Storage::Job. All of them or none. Raises InvalidEntry,
        # NotFound, ChangedElsewhere.
        def tick(id, keys, done, seen = {})
          job = going(id)
          steps = keys.map { |key| step(job, key) }
          steps.each { |placed| StepSaid.check(placed, seen[placed.key]) { @plans.torque(job) } } if done
          steps.each_with_index { |placed, at| check_done(job, placed, keys.take(at)) } if done
          @store.transaction do
            begin_with(job, steps) if done
            keys.each { |key| record(job, done ? "ticked" : "unticked", key) }
            note_apart(@store.jobs.find(id))
          end
        end

        # Answers a step's question. A good answer ticks it; any other leaves it open, and the vehicle must not be
        # driven. Raises InvalidEntry, NotFound.
        def answer(id, key, answer)
          job = going(id)
          placed = step(job, key)
          found = placed.step.asks&.answer(answer) or
            raise InvalidEntry.of("answer", "unknown_choice", Message.of("jobs.unknown_answer"))
          check(job, placed)
          @store.transaction do
            begin_with(job, [placed])
            record(job, "answered", { step: key, answer: })
            record(job, found.good ? "ticked" : "unticked", key)
            note_apart(@store.jobs.find(id))
          end
        end

        # The owner did a step another way, or without it. Never one of those that kill. Raises InvalidEntry, NotFound.
        def deviate(id, key, because)
          job = going(id)
          placed = step(job, key)
          raise InvalidEntry.of("because", "never", Message.of("jobs.safety_critical")) if placed.step.safety_critical

          because = words("because", because)
          check(job, placed)
          @store.transaction do
            begin_with(job, [placed])
            note_apart(record(job, "deviated", { step: key, because:, text: placed.step.text }))
          end
        end

        # Makes good a step that was left out, also on a closed job. Raises InvalidEntry, NotFound.
        def resolve_deviation(id, key)
          job = @store.jobs.find(id)
          unless job.deviations.key?(key) && !job.resolved_deviations.include?(key)
            raise InvalidEntry.of("step", "unknown_step", Message.of("jobs.nothing_open"))
          end

          @store.transaction { record(job, "deviation_resolved", key) }
        end

        private

        def begin_with(job, steps)
          begin_work(job) if steps.any? { |placed| placed.step.stage != "ready" }
        end

        # Checks that what a step asks for was entered. Raises InvalidEntry.
        def check_done(job, placed, also)
          check(job, placed, also)
          refuse_unanswered(job, placed)
          UnevenWear.new(@context).check(job, placed)
          TightBolts.new(@context).check(job, placed, @plans)
        end

        def refuse_unanswered(job, placed)
          asks = placed.step.asks
          return if asks.nil? || asks.answer(job.answers[placed.key])&.good

          raise InvalidEntry.of("answer", "missing", Message.of("jobs.answer_first", question: asks.text))
        end

        # also: keys done in the same breath. Raises InvalidEntry.
        def check(job, placed, also = [])
          require_ready(job) unless placed.step.stage == "ready"
          refuse_waiting(job, placed, also)
          TightBolts.new(@context).refuse_loose(job, placed)
          refuse_to_drive(job) if placed.step.does.include?("drives")

          halts = halts(job, placed)
          raise InvalidEntry.of("step", "replan", halts.map(&:text).join(" ")) if halts.any?
        end

        # No first stops while anything says that the vehicle is not to be driven.
        def refuse_to_drive(job)
          reasons = Condemned.new(@context).call(job)
          return if reasons.empty?

          raise InvalidEntry.of(
                  "step",
                  "replan",
                  Message.of("jobs.do_not_drive", reasons: reasons.map(&:text).join(" "))
                )
        end

        # Readings that changed the needed work block the steps that refit that axle, and shared steps.
        def halts(job, placed)
          return [] if BEFORE_REFITTING.include?(placed.step.stage)

          @plans.halts(job).select { |halt| [nil, halt.axle.name].include?(placed.axle) }
        end
      end
    end
  end
end
