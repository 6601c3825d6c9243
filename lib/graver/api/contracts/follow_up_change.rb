# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Closed, with what it was; opened again with nothing.
      class FollowUpChange < Contract
        json { required(:because).maybe(:string, max_size?: 1000) }
      end
    end
  end
end
