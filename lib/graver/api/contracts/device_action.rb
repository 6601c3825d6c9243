# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What a device is to do, and to which vehicle.
      class DeviceAction < Contract
        json do
          required(:vehicle).filled(:integer)
          required(:action).filled(:string, included_in?: %w[brake_open brake_close pump_bleed counter_reset])
        end
      end
    end
  end
end
