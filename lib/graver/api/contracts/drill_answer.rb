# frozen_string_literal: true

module Graver
  module API
    module Contracts
      # An answer to a drill: a number or a choice as text, or an order of ids.
      class DrillAnswer < Contract
        json do
          required(:seed).filled(:integer)
          optional(:answer).maybe(:string, max_size?: 40)
          optional(:order).value(:array, max_size?: 12).each(:string, max_size?: 80)
        end
      end
    end
  end
end
