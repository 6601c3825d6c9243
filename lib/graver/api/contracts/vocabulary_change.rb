# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # The household's words of the trade.
      class VocabularyChange < Contract
        json { required(:rotor).filled(:string, max_size?: 20) }
      end
    end
  end
end
