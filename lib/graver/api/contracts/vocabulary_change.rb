# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The household's English.
      class VocabularyChange < Contract
        json { required(:english).filled(:string, max_size?: 20) }
      end
    end
  end
end
