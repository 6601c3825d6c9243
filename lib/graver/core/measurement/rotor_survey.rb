# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Measurement
      # What several places round one rotor say together: the thinnest decides, and the thickness variation is the
      # largest minus the smallest on one circle.
      RotorSurvey = Value.define(:places, :minimum, :variation_mm, :variation_uncertainty_mm) do
        # thicknesses: one or more point Thickness. With one place there is no variation (nil).
        def self.of(thicknesses)
          raise ArgumentError, "a rotor survey requires at least 1 place, got 0" if thicknesses.empty?

          ordered = thicknesses.sort_by(&:value_mm)
          thin, thick = ordered.first, ordered.last
          several = ordered.length > 1
          new(places: ordered.length, minimum: thin,
              variation_mm: several ? thick.value_mm - thin.value_mm : nil,
              variation_uncertainty_mm: several ? Math.hypot(thin.standard_uncertainty_mm, thick.standard_uncertainty_mm) : nil)
        end
      end
    end
  end
end
