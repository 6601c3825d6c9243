# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Marks a tool as owned or not.
      class ToolOwned < Contract
        json do
          required(:tool).filled(:string, max_size?: 60)
          required(:owned).filled(:bool)
        end
      end
    end
  end
end
