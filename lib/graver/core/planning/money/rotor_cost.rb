# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The cost of rotors over their life, new or machined.
      module RotorCost
        module_function

        # price: of both; spare_mm: from the start to the discard thickness; wear_mm_per_1000_km -> [life in km, money
        # per 1,000 km]; nil if there is nothing to wear or no wear.
        def call(price:, spare_mm:, wear_mm_per_1000_km:)
          return unless spare_mm.positive? && wear_mm_per_1000_km.positive?

          life_km = spare_mm / wear_mm_per_1000_km * 1000
          [life_km, price * 1000.0 / life_km]
        end
      end
    end
  end
end
