# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # What several places on one part say together. The thinnest decides. The spread is the largest minus the
      # smallest: on one circle of a rotor that is its thickness variation, on a pad its taper. An error that all
      # places share (a
      # wrong zero) falls out of the spread; what is left is each place's own.
      Survey =
        Value.define(:places, :minimum, :spread_mm, :spread_uncertainty_mm) do
          # thicknesses: one or more Thickness. With one place, or with intervals, there is no spread (nil).
          def self.of(thicknesses)
            raise ArgumentError, "a survey requires at least 1 place, got 0" if thicknesses.empty?

            thin, thick = thicknesses.minmax_by(&:value_mm)
            compared = thicknesses.length > 1 && thicknesses.none?(&:interval?)
            new(
              places: thicknesses.length,
              minimum: thin,
              spread_mm: compared ? thick.value_mm - thin.value_mm : nil,
              spread_uncertainty_mm:
                compared ? Math.hypot(thin.standard_uncertainty_mm, thick.standard_uncertainty_mm) : nil
            )
          end
        end
    end
  end
end
