# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The day something planned is moved to.
      class MovePlannedEvent < Contract
        json { required(:from).filled(:string, max_size?: 20) }
      end
    end
  end
end
