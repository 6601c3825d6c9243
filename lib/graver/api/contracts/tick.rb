# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Ticks several steps at once.
      class Tick < Contract
        json do
          required(:steps).value(:array, min_size?: 1, max_size?: 20).each(:string, max_size?: 80)
          required(:done).filled(:bool)
          optional(:seen).maybe(:hash)
        end
      end
    end
  end
end
