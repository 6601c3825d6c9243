# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # Entries of brake data; null clears one.
      class BrakeDataEntries < Contract
        json do
          required(:entries)
            .value(:array, min_size?: 1, max_size?: 100)
            .each do
              hash do
                required(:key).filled(:string, max_size?: 60)
                required(:value).maybe(:string, max_size?: 40)
                optional(:unit).maybe(:string, max_size?: 10)
                optional(:source).maybe(:string, max_size?: 30)
                optional(:chosen).filled(:bool)
              end
            end
        end
      end
    end
  end
end
