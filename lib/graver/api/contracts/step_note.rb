# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A note at a step.
      class StepNote < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:text).value(:string, max_size?: 500)
        end
      end
    end
  end
end
