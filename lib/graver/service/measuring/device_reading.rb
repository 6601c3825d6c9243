# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Asks a device for one reading at a place in the inspection. It gets the place only: neither log nor forecast. A
      # reading from a simulated device says so.
      class DeviceReading
        def initialize(context)
          @context = context
        end

        # given: { vehicle:, quantity:, axle:, part:, side:, pad:, set: } -> Devices::Device::Sample.
        # Raises NotFound, DeviceFailed.
        def call(device_id, given)
          vehicle = @context.store.vehicles.find(given.fetch(:vehicle))
          axle = vehicle.axles.find { |each| each.id == given[:axle] }
          @context
            .devices
            .use(device_id) do |device|
              device.touch(vehicle: vehicle.name, axle: axle&.name, **given.slice(:part, :side, :pad, :set))
              device.read(given.fetch(:quantity))
            end
        end
      end
    end
  end
end
