# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A measuring tool; numbers are texts, so that they are kept as entered.
      class NewInstrument < Contract
        json do
          required(:name).value(:string, max_size?: 60)
          required(:method).filled(:string, max_size?: 20)
          optional(:unit).filled(:string, max_size?: 10)
          %i[least most resolution uncertainty].each { |key| optional(key).maybe(:string, max_size?: 20) }
        end
      end
    end
  end
end
