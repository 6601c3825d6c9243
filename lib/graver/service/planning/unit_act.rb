# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # Has a diagnostic unit do what a step of a job says, once that step may begin: no brake is opened before the
      # chocks.
      class UnitAct < JobEvents
        # -> Devices::Device::Done. Raises InvalidEntry, NotFound, DeviceFailed.
        def call(id, key, device_id)
          job = going(id)
          placed = step(job, key)
          action = placed.step.acts or raise InvalidEntry.of("step", "unknown_step", Texts.say("jobs.no_unit"))
          require_ready(job)
          refuse_waiting(job, placed)
          vehicle = @store.vehicles.find_axle(job.axle_id).vehicle_id
          Measuring::DeviceAction.new(@context).call(device_id, { vehicle:, action: })
        end
      end
    end
  end
end
