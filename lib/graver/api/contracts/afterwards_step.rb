# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A step done after its job ended, and the odometer then.
      class AfterwardsStep < Contract
        json do
          required(:step).filled(:string, max_size?: 80)
          required(:odometer).hash(ODOMETER)
        end
      end
    end
  end
end
