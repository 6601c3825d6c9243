# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Who put together what a job had left apart, and how.
      class Together < Contract
        json { required(:because).filled(:string, max_size?: 500) }
      end
    end
  end
end
