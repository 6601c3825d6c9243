# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # What several places on one part say together. The thinnest decides; of a drum's diameter, the widest. The spread
      # is the largest minus the smallest: on one circle of a rotor that is its thickness variation, on a pad its taper.
      # An error that all places share (a wrong zero, the tool's own accuracy) falls out of it; what is left is how well
      # the tool repeats. chance_mm is the spread that repeatability alone does not exceed in 95 of 100 surveys of an
      # even part.
      Survey =
        Value.define(:places, :minimum, :maximum, :spread_mm, :chance_mm) do
          # thicknesses: one or more Thickness. With one place, or with intervals, there is no spread (nil).
          def self.of(thicknesses)
            raise ArgumentError, "a survey requires at least 1 place, got 0" if thicknesses.empty?

            thin, thick = thicknesses.minmax_by(&:value_mm)
            compared = thicknesses.length > 1 && thicknesses.none?(&:interval?)
            new(
              places: thicknesses.length,
              minimum: thin,
              maximum: thick,
              spread_mm: compared ? thick.value_mm - thin.value_mm : nil,
              chance_mm: compared ? chance_mm(thicknesses) : nil
            )
          end

          def self.chance_mm(thicknesses)
            repeat_mm = Math.sqrt(thicknesses.sum { |each| each.repeat_mm**2 } / thicknesses.length)
            RangeByChance.factor(thicknesses.length) * repeat_mm
          end
          private_class_method :chance_mm

          # Whether the spread is more than the tool makes by itself.
          def told? = !spread_mm.nil? && spread_mm > chance_mm
        end
    end
  end
end
