# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # An approach for one job; no option: as in the household.
      class JobApproach < Contract
        json do
          required(:approach).filled(:string, max_size?: 30)
          required(:option).maybe(:string, max_size?: 30)
        end
      end
    end
  end
end
