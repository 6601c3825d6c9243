# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Connects or disconnects a device, or sets its knobs.
      class DeviceChange < Contract
        json do
          optional(:connected).filled(:bool)
          optional(:settings).value(:hash)
        end
      end
    end
  end
end
