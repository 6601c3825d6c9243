# frozen_string_literal: true

require_relative "../core/errors"

module Graver
  module Service
    # Has a device send one reading for a place in the walk-round. It is told the place and nothing else: neither the log nor
    # the forecast. What a simulated one sends says so.
    class BenchReading
      def initialize(context)
        @context = context
      end

      # given: { vehicle:, quantity:, axle:, part:, side:, pad: } -> Bench::Device::Sample.
      # Raises NotFound, DeviceFailed.
      def call(device_id, given)
        vehicle = @context.store.vehicles.find(given.fetch(:vehicle))
        axle = vehicle.axles.find { |each| each.id == given[:axle] }
        @context.bench.use(device_id) do |device|
          device.touch(vehicle: vehicle.name, axle: axle&.name, **given.slice(:part, :side, :pad))
          device.read(given.fetch(:quantity))
        end
      end
    end
  end
end
