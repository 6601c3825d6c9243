# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A change of a supply.
      class SupplyChange < Contract
        json do
          optional(:name).value(:string, max_size?: 200)
          %i[number supplier price on_shelf compound thickness diameter unit].each do |key|
            optional(key).maybe(:string, max_size?: 80)
          end
          optional(:lead_days).maybe(:integer)
          optional(:retired).filled(:bool)
        end
      end
    end
  end
end
