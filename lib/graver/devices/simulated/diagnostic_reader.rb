# frozen_string_literal: true

module Graver
  module Devices
    module Simulated
      # A reader at the diagnostic socket: the odometer as the instrument cluster has it, and the fluid level as its
      # sensor sees it, in eighths between MIN and MAX.
      class DiagnosticReader < Adjustable
        LEVEL_STEPS = 8
        # Seconds until the end is announced: motors fall silent well before.
        SECONDS = {
          "brake_open" => 30..40,
          "brake_close" => 20..30,
          "pump_bleed" => 40..60,
          "counter_reset" => 2..4
        }.freeze
        # Below this a vehicle refuses.
        LEAST_VOLTS = 11.8

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
              { id: "volts", label: "Battery", unit: "V", value: 12.6, least: 9, most: 15 },
              { id: "door", label: "A door is opened, per action", unit: "%", value: 0.0, least: 0, most: 100 },
              { id: "refuses", label: "The vehicle refuses, per action", unit: "%", value: 0.0, least: 0, most: 100 },
              { id: "level_noise", label: "Level noise", unit: "of MIN to MAX", value: 0.02, least: 0, most: 1 }
            ],
            **rest
          )
        end

        def quantities = %w[odometer fluid_level]
        def actions = SECONDS.keys

        def act(action)
          raise DeviceFailed, Message.of("devices.not_connected", device: label) unless connected?
          raise DeviceFailed, Message.of("devices.does_nothing", device: label) unless SECONDS.key?(action)

          refuse(action)
          Done.new(action:, seconds: @random.rand(SECONDS.fetch(action)), simulated: true)
        end

        private

        def refuse(action)
          volts = knob("volts")
          raise DeviceFailed, Message.of("devices.low_battery", volts: format("%.1f", volts)) if volts < LEAST_VOLTS
          raise DeviceFailed, Message.of("devices.door") if @random.rand * 100 < knob("door")
          return unless @random.rand * 100 < knob("refuses")

          raise DeviceFailed, Message.of(action.start_with?("brake") ? "devices.brake_refused" : "devices.refused")
        end

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
