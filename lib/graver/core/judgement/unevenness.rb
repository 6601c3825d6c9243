# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Differences between the pads of one axle, in mm, if they are more than the readings' own errors.
      module Unevenness
        module_function

        # pads: { "left" => { "inner" => Thickness, "outer" => Thickness }, ... } of one inspection, what was not read
        # absent; coverage: standard uncertainties that may still be the instruments'.
        # -> { "left" => { "inner_thinner_mm" => 1.8, "thinner_mm" => 1.8, "uneven_error_mm" => 0.4, ... }, ... }
        def call(pads, coverage:)
          pads.to_h do |side, mine|
            [side, within(mine, coverage).merge(between(mine, pads.except(side).values.first, coverage))]
          end
        end

        def within(pads, coverage)
          inner, outer = pads.values_at("inner", "outer")
          return {} unless inner && outer

          error = coverage * Math.hypot(inner.standard_uncertainty_mm, outer.standard_uncertainty_mm)
          apart = outer.value_mm - inner.value_mm
          told = apart.abs > error
          {
            "inner_mm" => inner.value_mm,
            "outer_mm" => outer.value_mm,
            "uneven_error_mm" => error,
            "inner_thinner_mm" => told && apart.positive? ? apart : nil,
            "outer_thinner_mm" => told && apart.negative? ? -apart : nil,
            "thinner_mm" => told ? apart.abs : nil
          }
        end

        # The mean of a corner's two pads against the mean of the other's.
        def between(mine, other, coverage)
          return {} unless other && [mine, other].all? { |pads| pads.values_at("inner", "outer").all? }

          means = [mine, other].map { |pads| pads.values.sum(&:value_mm) / 2.0 }
          error =
            coverage * Math.sqrt([mine, other].flat_map(&:values).sum { |pad| pad.standard_uncertainty_mm**2 }) / 2.0
          apart = means[1] - means[0]
          {
            "corner_mm" => means[0],
            "other_mm" => means[1],
            "corner_error_mm" => error,
            "corner_thinner_mm" => apart > error ? apart : nil
          }
        end
      end
    end
  end
end
