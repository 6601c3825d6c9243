# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What a device is asked to send, and for which place.
      class DeviceReading < Contract
        json do
          required(:vehicle).filled(:integer)
          required(:quantity).filled(:string, included_in?: %w[length odometer fluid_level])
          optional(:axle).maybe(:integer)
          optional(:part).maybe(:string, included_in?: %w[pad rotor runout shoe])
          optional(:side).maybe(:string, included_in?: %w[left right])
          optional(:pad).maybe(:string, included_in?: %w[inner outer])
        end
      end
    end
  end
end
