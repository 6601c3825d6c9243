# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A shop's figure for the pads of an axle, for the log.
      class PadClaim < Contract
        json do
          required(:axle).filled(:integer)
          required(:part).filled(:string, included_in?: %w[pad])
          required(:value).value(:string, max_size?: 20)
          optional(:unit).maybe(:string, included_in?: %w[mm in 32nd thou 100th])
          required(:odometer).hash do
            required(:value).value(:string, max_size?: 20)
            optional(:unit).filled(:string, included_in?: DISTANCE_UNITS)
          end
        end
      end
    end
  end
end
