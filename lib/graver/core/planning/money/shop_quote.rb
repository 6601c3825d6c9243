# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A shop's bill, calculated from its own rates: parts with mark-up, labour by the hour, tax on both.
      module ShopQuote
        module_function

        # parts: what they cost you; hours of labour; rate per hour; markup_percent, tax_percent -> total in the same
        # money
        def call(parts:, hours:, rate:, markup_percent:, tax_percent:)
          ((parts * (1 + (markup_percent / 100.0))) + (hours * rate)) * (1 + (tax_percent / 100.0))
        end
      end
    end
  end
end
