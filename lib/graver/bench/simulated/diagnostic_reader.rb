# frozen_string_literal: true

require_relative "adjustable"

module Graver
  module Bench
    module Simulated
      # A reader at the diagnostic socket: the odometer as the instrument cluster has it, and the fluid level as its sensor
      # sees it, in eighths between MIN and MAX.
      class DiagnosticReader < Adjustable
        LEVEL_STEPS = 8

        def initialize(**rest)
          @odometer_km = 0.0
          @level = 0.5
          super(knobs: [{ id: "odometer_offset", label: "Cluster counts too much", unit: "km", value: 0.0, least: -5000, most: 5000 },
                        { id: "level_noise", label: "Level noise", unit: "of MIN to MAX", value: 0.02, least: 0, most: 1 }], **rest)
        end

        def quantities = %w[odometer fluid_level]

        def touch(odometer_km: @odometer_km, fluid_level: @level, **)
          @odometer_km = odometer_km
          @level = fluid_level
        end

        private

        def sample(quantity)
          return Sample.new(quantity:, value: [@odometer_km + knob("odometer_offset"), 0].max.floor.to_s, unit: "km") if quantity == "odometer"

          eighths = ((@level + (knob("level_noise") * normal)).clamp(0, 1) * LEVEL_STEPS).round
          Sample.new(quantity:, value: "#{eighths}/#{LEVEL_STEPS}", unit: "fraction")
        end
      end
    end
  end
end
