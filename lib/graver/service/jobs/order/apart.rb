# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What a job has left apart, in words, and its follow-up on the vehicle.
      class Apart
        def initialize(context)
          @context = context
          @store = context.store
        end

        # "Front left: the caliper is off, the pads are out. Front: the vehicle is on stands"
        def said(job) = Overview::ApartBrakes.said(@context.knowledge, job.apart).join(". ")

        # Adds what is apart to the vehicle's follow-ups, replacing an earlier one of the job. key: of the message
        def follow_up(job, key)
          close(job, Message.of("jobs.paused_again"))
          return if job.apart.empty?

          text = Message.of(key, title: title(job), places: said(job))
          row = { text:, axle_id: job.axle_id, side: nil, look_on: nil, about: about(job) }
          @store.follow_ups.add(vehicle(job).id, row, on: @context.today, at: @context.now)
        end

        # Closes what this job had put on the follow-ups.
        def close(job, because)
          ends = @store.follow_ups.of_vehicles([vehicle(job).id]).fetch(vehicle(job).id, [])
          ends
            .select { |each| each.open? && each.about == about(job) }
            .each { |each| @store.follow_ups.close(each.id, because, on: @context.today) }
        end

        # Jobs that are over and left one of these axles apart. One that ended undriven is together.
        def left_on(axle_ids)
          jobs = @store.jobs.of(vehicle_of(axle_ids.first).axles.map(&:id))
          left = Overview::ApartBrakes.leaving(jobs).select { |job| job.over? && job.axle_ids.intersect?(axle_ids) }
          left.reject { |job| job.apart.all? { |place| place.first == Core::Planning::BrakeState::UNTRIED } }
        end

        private

        def about(job) = "job-#{job.id}"
        def vehicle_of(axle_id) = Household::AxleRecords.new(@context).vehicle_with(axle_id)
        def vehicle(job) = vehicle_of(job.axle_id)
        def title(job) = JobTitle.of_job(@context.knowledge, job, vehicle(job).axles)
      end
    end
  end
end
