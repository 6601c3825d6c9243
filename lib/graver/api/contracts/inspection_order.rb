# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The owner's order of wheels and positions.
      class InspectionOrder < Contract
        json do
          optional(:start).filled(:string, max_size?: 20)
          optional(:direction).filled(:string, max_size?: 20)
          optional(:within).value(:array, min_size?: 1, max_size?: 10).each(:string, max_size?: 20)
        end
      end
    end
  end
end
