# frozen_string_literal: true

module Graver
  module Devices
    module Simulated
      # A reader at the diagnostic socket: the odometer as the instrument cluster has it, and the fluid level as its
      # sensor
      # sees it, in eighths between MIN and MAX.
      class DiagnosticReader < Adjustable
        LEVEL_STEPS = 8

        def initialize(**rest)
          super(
            knobs: [
              {
                id: "odometer_offset",
                label: "Cluster counts too much",
                unit: "km",
                value: 0.0,
                least: -5000,
                most: 5000
              },
              { id: "level_noise", label: "Level noise", unit: "of MIN to MAX", value: 0.02, least: 0, most: 1 }
            ],
            **rest
          )
        end

        def quantities = %w[odometer fluid_level]

        private

        def sample(quantity)
          vehicle = @place.vehicle.to_s
          if quantity == "odometer"
            return(
              Sample.new(
                quantity:,
                value: [@world.odometer_km(vehicle) + knob("odometer_offset"), 0].max.floor.to_s,
                unit: "km",
                simulated: true
              )
            )
          end

          eighths = ((@world.fluid_level(vehicle) + (knob("level_noise") * normal)).clamp(0, 1) * LEVEL_STEPS).round
          Sample.new(quantity:, value: "#{eighths}/#{LEVEL_STEPS}", unit: "fraction", simulated: true)
        end
      end
    end
  end
end
