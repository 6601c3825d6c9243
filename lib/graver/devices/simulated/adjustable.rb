# frozen_string_literal: true

module Graver
  module Devices
    module Simulated
      # What all simulated devices share: they connect at once, their knobs can be turned, and their line can drop.
      # Everything that looks like chance comes from one seed.
      class Adjustable < Device
        DROPS = { id: "drops", label: "Line drops, per reading", unit: "%", value: 0.0, least: 0, most: 100 }.freeze

        # The place it measures; any part may be nil.
        Place = Core::Value.define(:vehicle, :axle, :part, :side, :pad)

        def initialize(seed:, knobs:, world:, **rest)
          super(**rest)
          @world = world
          touch
          @random = Random.new(seed)
          @settings = [*knobs, DROPS].to_h { |knob| [knob[:id], Setting.new(**knob)] }
          @connected = true
        end

        def simulated? = true
        def touch(vehicle: nil, axle: nil, part: nil, side: nil, pad: nil, **)
          @place = Place.new(vehicle:, axle:, part:, side:, pad:)
        end
        def connected? = @connected
        def connect = @connected = true
        def disconnect = @connected = false
        def settings = @settings.values

        # values: { id => number }. Raises InvalidEntry with a fault per knob, and then changes none.
        def change(values)
          faults = values.filter_map { |id, value| fault(id, value) }
          raise InvalidEntry, faults if faults.any?

          values.each { |id, value| @settings[id] = @settings[id].with(value: value.to_f) }
        end

        def read(quantity)
          raise DeviceFailed, Message.of("devices.not_connected", device: label) unless connected?
          raise DeviceFailed, Message.of("devices.does_not_send", device: label) unless quantities.include?(quantity)

          if @random.rand * 100 < knob("drops")
            disconnect
            raise DeviceFailed, Message.of("devices.dropped", device: label)
          end
          sample(quantity)
        end

        private

        def knob(id) = @settings.fetch(id).value

        def fault(id, value)
          setting = @settings[id] or
            return(
              InvalidEntry::FieldError.new(
                field: "settings.#{id}",
                code: "unknown_setting",
                message: Message.of("faults.unknown_setting")
              )
            )
          return if value.is_a?(Numeric) && value.between?(setting.least, setting.most)

          InvalidEntry::FieldError.new(
            field: "settings.#{id}",
            code: "out_of_range",
            message:
              Message.of(
                "faults.labelled_between",
                label: setting.label,
                least: setting.least,
                most: setting.most,
                unit: setting.unit
              )
          )
        end

        # Standard normal, by Box and Muller.
        def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
      end
    end
  end
end
