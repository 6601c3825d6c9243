# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Shared by the use cases of jobs: events are only added, and none to a closed job.
      class JobEvents
        LONGEST_NOTE = 500

        def initialize(context)
          @context = context
          @store = context.store
          @plans = JobPlan.new(context)
        end

        private

        def record(job, kind, value)
          @store.jobs.record_event(job.id, kind, value, at: @context.now, by: @context.person)
          @store.jobs.find(job.id)
        end

        # Stores what is apart after the event just recorded. -> Storage::Job
        def note_apart(job)
          return job unless job.basis

          places = Replanning.new(@context).state(job).apart
          places == job.apart ? job : record(job, "apart", { places: })
        end

        # Stores the basis of a job that begins.
        def begin_work(job)
          record(job, "in_progress", { day: @context.today.iso8601 }) if job.state == "ready"
          keep_basis(@store.jobs.find(job.id))
        end

        def keep_basis(job)
          return job if job.basis || job.state != "in_progress"

          record(job, "basis", Replanning.new(@context).begin(job))
        end

        # A job that has begun is planned from the state of the brake. Its basis was kept before anything of it changed.
        # -> Storage::Job. Raises InvalidEntry.
        def replan(job, works, approaches, road: true)
          job = @store.jobs.find(job.id)
          return job unless job.basis && job.state == "in_progress"

          note_apart(record(job, "basis", Replanning.new(@context).call(job, works, approaches, road:)))
        end

        def vehicle_of(job) = Household::AxleRecords.new(@context).vehicle_with(job.axle_id)

        def put(id, kind, value)
          job = going(id)
          @store.transaction { record(job, kind, value) }
        end

        def going(id)
          @store
            .jobs
            .find(id)
            .tap do |job|
              raise InvalidEntry.of("state", "job_closed", Message.of("jobs.closed", state: job.state)) if job.over?
            end
        end

        def placed(job) = @plans.ordered(job).placed || []
        # Raises InvalidEntry.
        def step(job, key)
          placed(job).find { |each| each.key == key } ||
            raise(InvalidEntry.of("step", "unknown_step", Message.of("jobs.unknown_step")))
        end

        def require_ready(job)
          return true if %w[ready in_progress].include?(job.state)

          raise InvalidEntry.of("state", "not_ready", Message.of("jobs.not_ready"))
        end

        # A step that waits for another says for which; also: keys done in the same breath. Raises InvalidEntry.
        def refuse_waiting(job, placed, also = [])
          progress = Jobs::Steps.new(@context.knowledge).progress(@plans.ordered(job), job.done + also)
          waits = progress.waits_for(placed)
          raise InvalidEntry.of("step", "waits", waiting(waits)) if waits.any?
        end

        def waiting(waits)
          named =
            waits.first(3).map { |each| "“#{OrderFaults.short(each.step.text)}”#{" (#{each.place})" if each.place}" }
          Message.of(
            "jobs.first_comes",
            steps: named.join(Message.of("jobs.then")),
            more: waits.length > 3 ? Message.of("jobs.and_more", count: waits.length - 3) : ""
          )
        end

        # A reason in the owner's words. Raises InvalidEntry.
        def words(field, text)
          text = text.to_s.strip
          raise InvalidEntry.of(field, "missing", Message.of("faults.few_words")) unless text.match?(/\p{L}{2}/)

          if text.length > LONGEST_NOTE
            raise(InvalidEntry.of(field, "too_long", Message.of("faults.too_long", most: LONGEST_NOTE)))
          end

          text
        end
      end
    end
  end
end
