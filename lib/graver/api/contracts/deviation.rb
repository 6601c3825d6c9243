# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A step done another way, or left out for a reason.
      class Deviation < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:because).value(:string, max_size?: 500)
        end
      end
    end
  end
end
