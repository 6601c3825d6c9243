# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Has a device send one reading for a place in the inspection. It is told the place and nothing else: neither the
      # log nor the forecast. What a simulated one sends says so.
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
