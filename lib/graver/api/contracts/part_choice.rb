# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The part chosen for a line.
      class PartChoice < Contract
        json do
          required(:line).filled(:string, max_size?: 80)
          required(:supply).maybe(:integer)
        end
      end
    end
  end
end
