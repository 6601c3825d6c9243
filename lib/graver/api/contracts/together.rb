# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # How a brake that a job left apart was put together.
      class Together < Contract
        json { required(:because).filled(:string, max_size?: 500) }
      end
    end
  end
end
