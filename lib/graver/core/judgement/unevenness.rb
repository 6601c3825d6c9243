# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Differences between the pads of one axle, in mm, if they are more than the readings' own errors.
      module Unevenness
        module_function

        # pads: { "left" => { "inner" => Thickness, "outer" => Thickness }, ... } of one inspection, what was not read
        # absent; names: of the two at a corner; coverage: standard uncertainties that may still be the instruments'.
        # -> { "left" => { "inner_thinner_mm" => 1.8, "thinner_mm" => 1.8, "uneven_error_mm" => 0.4, ... }, ... }
        def call(pads, coverage:, names: %w[inner outer])
          pads.to_h do |side, mine|
            other = pads.except(side).values.first
            [side, within(names, mine, coverage).merge(between(names, mine, other, coverage))]
          end
        end

        def within(names, pads, coverage)
          one, other = pads.values_at(*names)
          return {} unless one && other

          error = coverage * Math.hypot(one.standard_uncertainty_mm, other.standard_uncertainty_mm)
          apart = other.value_mm - one.value_mm
          told = apart.abs > error
          {
            "#{names[0]}_mm" => one.value_mm,
            "#{names[1]}_mm" => other.value_mm,
            "uneven_error_mm" => error,
            "#{names[0]}_thinner_mm" => told && apart.positive? ? apart : nil,
            "#{names[1]}_thinner_mm" => told && apart.negative? ? -apart : nil,
            "thinner_mm" => told ? apart.abs : nil
          }
        end

        # The mean of a corner's two pads against the mean of the other's.
        def between(names, mine, other, coverage)
          return {} unless other && [mine, other].all? { |pads| pads.values_at(*names).all? }

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
