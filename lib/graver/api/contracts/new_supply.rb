# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A part, consumable or tool of the owner's; numbers are texts, so that they are kept as entered.
      class NewSupply < Contract
        json do
          required(:kind).filled(:string, max_size?: 20)
          required(:item).filled(:string, max_size?: 60)
          optional(:axle).maybe(:integer)
          required(:name).value(:string, max_size?: 200)
          %i[number supplier price on_shelf compound thickness diameter unit].each do |key|
            optional(key).maybe(:string, max_size?: 80)
          end
          optional(:lead_days).maybe(:integer)
        end
      end
    end
  end
end
