# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Signs a device in, with the passphrase or with a pairing code.
      class SignIn < Contract
        json do
          optional(:passphrase).maybe(:string, max_size?: 200)
          optional(:code).maybe(:string, max_size?: 64)
          optional(:device).maybe(:string, max_size?: 200)
          optional(:person).maybe(:string, max_size?: 200)
        end
      end
    end
  end
end
