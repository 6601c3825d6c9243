# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Something of the readiness that is resolved, or is not.
      class Resolved < Contract
        json do
          required(:item).filled(:string, max_size?: 120)
          required(:done).filled(:bool)
        end
      end
    end
  end
end
