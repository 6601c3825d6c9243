# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Has a diagnostic unit do something to a vehicle: open the parking brake, run the pump, reset a counter.
      class DeviceAction
        def initialize(context)
          @context = context
        end

        # given: { vehicle:, action: } -> Devices::Device::Done. Raises NotFound, DeviceFailed.
        def call(device_id, given)
          vehicle = @context.store.vehicles.find(given.fetch(:vehicle))
          @context
            .devices
            .use(device_id) do |device|
              # made-up motors would leave the real ones shut
              raise DeviceFailed, Texts.say("devices.moves_nothing") if device.simulated? && !vehicle.sample

              device.touch(vehicle: vehicle.name)
              device.act(given.fetch(:action))
            end
        end
      end
    end
  end
end
