# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # Draws that are the same every time: each row holds evenly spread quantiles (of the normal, or of a chance) in an
      # separate order, so that every unknown by itself is represented evenly (Latin hypercube).
      module LatinHypercube
        module_function

        # -> Numo::DFloat[rows, count] of standard normal quantiles
        def normal(rows, count)
          quantiles = chances_of(count).map { |chance| Normal.quantile(chance) }
          table(rows, quantiles, 17)
        end

        # -> Numo::DFloat[rows, count] of chances between 0 and 1
        def chances(rows, count) = table(rows, chances_of(count), 7919)

        def chances_of(count) = Array.new(count) { |at| (at + 0.5) / count }

        def table(rows, values, seed)
          Numo::DFloat.cast(
            Array.new(rows) { |row| values.each_index.sort_by { |at| scatter(at, row + seed) }.map { |at| values[at] } }
          )
        end

        # An integer hash (multiply and fold), kept within 31 bits.
        def scatter(at, row)
          mixed = ((at + 1) * 0x2545F491) ^ ((row + 1) * 0x19660D)
          3.times { mixed = (((mixed & 0x7FFFFFFF) ^ (mixed >> 13)) * 0x5BD1E995) & 0x7FFFFFFF }
          mixed ^ (mixed >> 15)
        end

        private_class_method :chances_of, :table, :scatter
      end
    end
  end
end
