# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The English a household is spoken to in.
      class VocabularyChange < Contract
        json { required(:english).filled(:string, max_size?: 20) }
      end
    end
  end
end
