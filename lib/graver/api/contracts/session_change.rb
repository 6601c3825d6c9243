# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What a device may do.
      class SessionChange < Contract
        json { required(:guest).filled(:bool) }
      end
    end
  end
end
