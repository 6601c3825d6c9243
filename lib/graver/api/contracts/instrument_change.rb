# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Any of the same fields, plus archive and restore.
      class InstrumentChange < Contract
        json do
          optional(:name).value(:string, max_size?: 60)
          optional(:unit).filled(:string, max_size?: 10)
          %i[least most resolution uncertainty].each { |key| optional(key).maybe(:string, max_size?: 20) }
          optional(:retired).filled(:bool)
        end
      end
    end
  end
end
