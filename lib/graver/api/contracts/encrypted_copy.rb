# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # What an encrypted copy is locked with.
      class EncryptedCopy < Contract
        params { required(:passphrase).filled(:string, max_size?: 200) }
      end
    end
  end
end
