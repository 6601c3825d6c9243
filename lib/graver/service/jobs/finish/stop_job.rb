# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Stops a job midway: for now, by putting the brake back as it was, or by recording later who put it together.
      class StopJob < JobEvents
        # Turns what is apart into a follow-up of the vehicle -> Storage::Job. Raises InvalidEntry, NotFound.
        def pause(id)
          job = going(id)
          raise InvalidEntry.of("state", "not_ready", Message.of("jobs.not_apart")) if job.apart.empty?

          @store.transaction { Apart.new(@context).follow_up(job, "jobs.paused") }
          job
        end

        # Only what puts the old parts back is left of the job. Where one of them is condemned, or a side has new parts
        # and the other has not, the vehicle is not driven at the end. -> Storage::Job. Raises InvalidEntry, NotFound.
        def put_back(id)
          job = going(id)
          raise InvalidEntry.of("state", "not_ready", Message.of("jobs.not_started")) unless job.state == "in_progress"

          works = job.axle_ids.to_h { |axle| [axle, ["together"]] }
          half = half_done(job)
          road = half.empty? && Condemned.new(@context).call(job).empty?
          @store.transaction do
            keep_basis(job)
            record(job, "scope", { axles: works.transform_keys(&:to_s), reasons: {}, half: })
            replan(job, works, job.approaches, road:)
          end
        end

        # Records that what a job left apart was put together another way -> Storage::Job. Raises InvalidEntry,
        # NotFound.
        def together(id, because)
          job = @store.jobs.find(id)
          raise InvalidEntry.of("state", "not_ready", Message.of("jobs.not_apart")) if job.apart.empty? || !job.over?

          because = words("because", because)
          @store.transaction do
            Apart.new(@context).close(job, because)
            record(job, "together", { because: })
          end
        end

        private

        # Works that one side of an axle has had and the other has not -> [sentence]
        def half_done(job)
          vehicle_of(job).axles.flat_map do |axle|
            works = job.works.fetch(axle.id, []).map { |id| @context.knowledge.work(id) }.select(&:alike)
            works.filter_map { |work| half(job, axle, work) }
          end
        end

        def half(job, axle, work)
          sides =
            axle.sides.select { |side| work.begun_by.any? { |step| job.done.include?("#{axle.name}.#{side}.#{step}") } }
          return if sides.empty? || sides == axle.sides

          Message.of("jobs.half_done", axle: axle.name.capitalize, work: work.label, side: sides.first)
        end
      end
    end
  end
end
