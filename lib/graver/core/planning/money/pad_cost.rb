# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The cost of a choice of pads over its life.
      module PadCost
        module_function

        # Per 1,000 km: the set over its life, and the rotors' share: what the pads' life takes of the wear a rotor has
        # in it.
        #
        #   (price + rotors_price x min(rotor_wear / rotor_spare, 1)) / life x 1000
        #
        # price: of the set; life_km; rotors_price: of both, nil unknown; rotor_wear_mm: over that life; rotor_spare_mm:
        # new less discard -> [pads, rotors] in money per 1,000 km; rotors nil where not known. Raises ArgumentError for
        # a life of 0.
        def call(price:, life_km:, rotors_price: nil, rotor_wear_mm: nil, rotor_spare_mm: nil)
          raise ArgumentError, "a cost over a life requires a life above 0 km, got #{life_km}" unless life_km.positive?

          known = rotors_price && rotor_wear_mm && rotor_spare_mm&.positive?
          rotors = known ? rotors_price * [rotor_wear_mm / rotor_spare_mm, 1.0].min / life_km * 1000 : nil
          [price / life_km.to_f * 1000, rotors]
        end
      end
    end
  end
end
