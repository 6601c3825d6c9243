# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Draws that are the same for the same seed, so that a drill can be repeated.
      class Draw
        MASK = (1 << 64) - 1

        # seed: a whole number; of: the name of the draw
        def initialize(seed, of)
          @state = of.each_byte.reduce(seed) { |state, byte| ((state * 257) + byte) & MASK }
        end

        # A whole number from 0 to below this, by the splitmix64 sequence (Steele, Lea and Flood 2014, from memory).
        def below(count)
          @state = (@state + 0x9E3779B97F4A7C15) & MASK
          mixed = ((@state ^ (@state >> 30)) * 0xBF58476D1CE4E5B9) & MASK
          mixed = ((mixed ^ (mixed >> 27)) * 0x94D049BB133111EB) & MASK
          (mixed ^ (mixed >> 31)) % count
        end

        # range: of whole numbers -> one of them
        def from(range) = range.min + below(range.size)
        # -> one of a list
        def pick(list) = list[below(list.length)]
        # -> the list in another order
        def mixed(list) = list.map { |each| [below(1 << 40), each] }.sort_by(&:first).map(&:last)
      end
    end
  end
end
