# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Closes a follow-up, with the cause found; reopens it if there is none.
      class FollowUpChange < Contract
        json { required(:because).maybe(:string, max_size?: 1000) }
      end
    end
  end
end
