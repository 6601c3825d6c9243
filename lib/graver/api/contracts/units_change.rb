# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The household's usual units.
      class UnitsChange < Contract
        json do
          optional(:pad).filled(:string, max_size?: 20)
          optional(:rotor).filled(:string, max_size?: 20)
          optional(:torque).filled(:string, max_size?: 20)
        end
      end
    end
  end
end
