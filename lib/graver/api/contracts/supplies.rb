# frozen_string_literal: true

require_relative "contract"

module Graver
  module API
    module Contracts
      # A part, consumable or tool of the owner's own; numbers as texts, so that they are kept as entered.
      class NewSupply < Contract
        json do
          required(:kind).filled(:string, max_size?: 20)
          required(:item).filled(:string, max_size?: 60)
          optional(:axle).maybe(:integer)
          required(:name).value(:string, max_size?: 200)
          %i[number supplier price on_shelf compound thickness diameter unit].each { |key| optional(key).maybe(:string, max_size?: 80) }
          optional(:lead_days).maybe(:integer)
        end
      end

      # A change of one.
      class SupplyChange < Contract
        json do
          optional(:name).value(:string, max_size?: 200)
          %i[number supplier price on_shelf compound thickness diameter unit].each { |key| optional(key).maybe(:string, max_size?: 80) }
          optional(:lead_days).maybe(:integer)
          optional(:retired).filled(:bool)
        end
      end

      # A tool that is owned, or is not any more.
      class ToolOwned < Contract
        json do
          required(:tool).filled(:string, max_size?: 60)
          required(:owned).filled(:bool)
        end
      end

      # The household's money.
      class MoneyChange < Contract
        json do
          optional(:currency).value(:string, max_size?: 10)
          %i[labour_rate markup_percent tax_percent].each { |key| optional(key).value(:string, max_size?: 20) }
        end
      end
    end
  end
end
