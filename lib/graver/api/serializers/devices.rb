# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The devices on the bench.
      module Devices
        module_function

        def all(bench, counter) = { counter:, devices: bench.all.map { |device| one(device) } }

        def one(device)
          {
            id: device.id,
            label: device.label,
            quantities: device.quantities,
            method: device.method,
            actions: device.actions,
            connected: device.connected?,
            simulated: device.simulated?,
            settings: device.settings.map(&:to_h)
          }
        end
      end
    end
  end
end
