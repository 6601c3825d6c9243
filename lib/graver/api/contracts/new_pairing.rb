# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A code to pair a device by, as a guest's or not.
      class NewPairing < Contract
        json { optional(:guest).filled(:bool) }
      end
    end
  end
end
