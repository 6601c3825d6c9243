# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A step ticked off.
      class Tick < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:done).filled(:bool)
        end
      end
    end
  end
end
