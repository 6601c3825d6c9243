# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Finds swapped readings: left for right, or inner for outer.
      module SwappedReadings
        # position: ["left", "inner"] (rotors: ["left", nil]); expected: { mean_mm:, sd_mm: }
        Read = Value.define(:id, :position, :thickness, :expected)

        module_function

        # [Read] of one axle and part, gain: how much the squared misfit must fall, and below which it
        # must come -> [[id, id], ...]
        def call(reads, gain:)
          pairs = reads.combination(2).select { |one, other| differ_in_one?(one.position, other.position) }
          found =
            pairs.select do |one, other|
              straight(one, other) - crossed(one, other) > gain && crossed(one, other) < gain
            end
          disjoint(found.sort_by { |one, other| crossed(one, other) - straight(one, other) }).map do |pair|
            pair.map(&:id)
          end
        end

        # Each reading is swapped only once, in the pair that gains most.
        def disjoint(pairs)
          pairs.each_with_object([]) { |pair, kept| kept << pair unless kept.flatten(1).intersect?(pair) }
        end

        def differ_in_one?(one, other) = one.zip(other).one? { |mine, theirs| mine != theirs }
        def straight(one, other) = misfit(one.thickness, one.expected) + misfit(other.thickness, other.expected)
        def crossed(one, other) = misfit(one.thickness, other.expected) + misfit(other.thickness, one.expected)

        def misfit(thickness, expected)
          ((thickness.value_mm - expected[:mean_mm])**2) /
            ((thickness.standard_uncertainty_mm**2) + (expected[:sd_mm]**2))
        end
      end
    end
  end
end
