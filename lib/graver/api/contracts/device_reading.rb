# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Asks a device for a reading at a place.
      class DeviceReading < Contract
        json do
          required(:vehicle).filled(:integer)
          required(:quantity).filled(:string, included_in?: %w[length odometer fluid_level torque angle])
          optional(:axle).maybe(:integer)
          optional(:part).maybe(:string, max_size?: 20)
          optional(:side).maybe(:string, included_in?: %w[left right])
          # the wrench's setting, N·m or degrees
          optional(:set).filled(:float, gteq?: 0, lteq?: 1000)
          optional(:pad).maybe(:string, included_in?: PADS)
        end
      end
    end
  end
end
