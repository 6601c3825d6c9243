# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Tasks after a job is finished: wheel nuts again, the fluid level, the first reading. Each is ticked with the
      # odometer at that time.
      class Afterwards < JobEvents
        STAGE = "afterwards"

        # odometer: { value:, unit:, keep: } -> Storage::Job. Raises InvalidEntry by field, NotFound.
        def call(id, key, odometer)
          job = @store.jobs.find(id)
          placed = step(job, key)
          unless job.state == "finished" && placed.step.stage == STAGE
            raise InvalidEntry.of("step", "unknown_step", Message.of("jobs.not_afterwards"))
          end

          refuse_waiting(job, placed)
          given = { date: @context.today.iso8601, odometer: }
          Measuring::RecordOdometer.new(@context).call(
            Household::AxleRecords.new(@context).vehicle_of(job.axle_id),
            given
          )
          @store.transaction { record(@store.jobs.find(id), "ticked", key) }
        end
      end
    end
  end
end
