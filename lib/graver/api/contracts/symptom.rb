# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Something noticed, and the answers to what was asked about it.
      class Symptom < Contract
        json do
          required(:symptom).filled(:string, max_size?: 30)
          optional(:answers).hash do
            %i[when where how which].each { |question| optional(question).filled(:string, max_size?: 30) }
          end
        end
      end
    end
  end
end
