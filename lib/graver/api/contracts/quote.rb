# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # A shop's quote, in one sum or by lines.
      class Quote < Contract
        json do
          required(:total).maybe(:string, max_size?: 20)
          optional(:lines)
            .value(:array, max_size?: 40)
            .each do
              hash do
                required(:what).value(:string, max_size?: 200)
                required(:amount).value(:string, max_size?: 20)
              end
            end
        end
      end
    end
  end
end
