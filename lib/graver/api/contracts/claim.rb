# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A shop's figure for a part.
      class Claim < Contract
        json do
          required(:axle).filled(:integer)
          required(:part).filled(:string, included_in?: %w[pad rotor])
          required(:value).value(:string, max_size?: 20)
          optional(:unit).maybe(:string, included_in?: %w[mm in 32nd thou 100th])
        end
      end
    end
  end
end
