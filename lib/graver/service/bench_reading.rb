# frozen_string_literal: true

require_relative "vehicle_overviews"

module Graver
  module Service
    # Has a device send one reading for a place in the walk-round. A simulated one is first told what it is held against:
    # what the log lets one expect there, or a new part.
    class BenchReading
      # Fluid falls as pads wear: how far a worn-out set brings the level down, when nothing is known.
      LEVEL_FULL = 0.9

      def initialize(context)
        @context = context
        @knowledge = context.knowledge
      end

      # given: { vehicle:, quantity:, axle:, part:, side:, pad: } -> Bench::Device::Sample.
      # Raises NotFound, DeviceFailed.
      def call(device_id, given)
        @context.bench.use(device_id) do |device|
          device.touch(**truth(given)) if device.simulated?
          device.read(given.fetch(:quantity))
        end
      end

      private

      def truth(given)
        overview = VehicleOverviews.new(@context).find(given.fetch(:vehicle))
        return { length_mm: length_mm(overview, given) } if given[:quantity] == "length"

        { odometer_km: overview.axles.first.answer.as_of_km, fluid_level: level(overview) }
      end

      def length_mm(overview, given)
        axle = overview.axles.find { |each| each.file.axle.id == given[:axle] } or return 0.0
        believed = { "pad" => axle.answer.pads, "rotor" => axle.answer.rotors }[given[:part]]
        now = believed&.now&.fetch([given[:side], given[:pad]].compact.join("_"), nil)
        now ? [now[:mean_mm], 0].max : fresh_mm(axle.file, given[:part])
      end

      def fresh_mm(file, part)
        known = file.specifications[part]&.new_mm
        known || @knowledge.measurement.dig("new_parts", part, "typical_mm") || 0.03
      end

      # The worn share of the front pads, as that is where most of the fluid goes.
      def level(overview)
        pads = overview.axles.first.answer.pads or return LEVEL_FULL
        new_mm = fresh_mm(overview.axles.first.file, "pad")
        worn = pads.now.values.sum { |now| new_mm - now[:mean_mm] } / pads.now.length / new_mm
        (LEVEL_FULL - worn).clamp(0, 1)
      end
    end
  end
end
