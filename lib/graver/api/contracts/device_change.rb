# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A device connected or let go, its knobs turned.
      class DeviceChange < Contract
        json do
          optional(:connected).filled(:bool)
          optional(:settings).value(:hash)
        end
      end
    end
  end
end
