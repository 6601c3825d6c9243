# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The passphrase of phone access, and whether phones may connect.
      class AccessChange < Contract
        json do
          optional(:passphrase).value(:string, max_size?: 200)
          optional(:wanted).filled(:bool)
          optional(:https).filled(:bool)
        end
      end
    end
  end
end
