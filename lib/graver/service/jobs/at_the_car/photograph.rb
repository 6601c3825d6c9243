# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A photo at a step of a job, of one that is closed too.
      class Photograph < JobEvents
        # -> Storage::Job. Raises InvalidEntry, NotFound, NotSaved.
        def call(id, key, bytes)
          job = @store.jobs.find(id)
          placed = step(job, key)
          vehicle_id = Household::AxleRecords.new(@context).vehicle_of(job.axle_id)
          place = { job_id: id, step: placed.step.id, key: placed.key }
          Measuring::Photos.new(@context).add(vehicle_id, place, bytes)
          job
        end
      end
    end
  end
end
