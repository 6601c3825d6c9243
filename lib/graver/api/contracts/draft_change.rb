# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A half-entered inspection, kept as the screen wrote it.
      class DraftChange < Contract
        json do
          required(:content).value(:hash)
          required(:revision).filled(:integer, gteq?: 0)
        end
      end
    end
  end
end
