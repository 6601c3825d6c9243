# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A symptom, and the answers to its questions.
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
