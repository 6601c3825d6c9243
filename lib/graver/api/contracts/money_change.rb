# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The household's money.
      class MoneyChange < Contract
        json do
          optional(:currency).value(:string, max_size?: 10)
          %i[labour_rate markup_percent tax_percent own_rate].each { |key| optional(key).value(:string, max_size?: 20) }
        end
      end
    end
  end
end
