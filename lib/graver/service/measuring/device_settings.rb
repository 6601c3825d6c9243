# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Connects a device or lets it go, and turns its knobs.
      class DeviceSettings
        def initialize(context)
          @devices = context.devices
        end

        # settings: { knob => value } or nil; connected: true, false or nil -> Devices::Device. Raises NotFound,
        # InvalidEntry.
        def change(id, settings: nil, connected: nil)
          @devices.use(id) do |device|
            device.change(settings) if settings
            unless connected.nil?
              connected ? device.connect : device.disconnect
            end
          end
          @devices.find(id)
        end
      end
    end
  end
end
