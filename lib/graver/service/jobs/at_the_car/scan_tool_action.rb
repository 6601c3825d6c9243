# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Lets a scan tool do what a step says, once that step may begin: no brake is opened before the chocks.
      class ScanToolAction < JobEvents
        # -> Devices::Device::Done. Raises InvalidEntry, NotFound, DeviceFailed.
        def call(id, key, device_id)
          job = going(id)
          placed = step(job, key)
          action = placed.step.acts or raise InvalidEntry.of("step", "unknown_step", Message.of("jobs.no_unit"))
          require_ready(job)
          refuse_waiting(job, placed)
          @context.devices.use(device_id) { |device| act(device, vehicle_of(job), action) }
        end

        private

        def vehicle_of(job) = Household::AxleRecords.new(@context).vehicle_with(job.axle_id)

        def act(device, vehicle, action)
          # made-up motors would leave the real ones shut
          raise DeviceFailed, Message.of("devices.moves_nothing") if device.simulated? && !vehicle.sample

          device.touch(vehicle: vehicle.name)
          device.act(action)
        end
      end
    end
  end
end
