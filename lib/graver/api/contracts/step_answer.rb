# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The answer to a step's question.
      class StepAnswer < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:answer).filled(:string, max_size?: 40)
        end
      end
    end
  end
end
