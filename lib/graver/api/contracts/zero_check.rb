# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A zero check: what an instrument showed on a known size.
      class ZeroCheck < Contract
        json do
          required(:date).value(:string, max_size?: 20)
          required(:reference).value(:string, max_size?: 20)
          required(:read).value(:string, max_size?: 20)
          optional(:unit).filled(:string, max_size?: 10)
        end
      end
    end
  end
end
