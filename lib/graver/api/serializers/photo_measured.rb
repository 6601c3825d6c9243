# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A thickness measured in a photo, in the household's unit.
      module PhotoMeasured
        DIGITS = { "mm" => 1, "in" => 3 }.freeze

        # What a browser out of reach of the server measures with.
        FIGURES = %w[shortest_px slant_degrees focal_share mark_standard_uncertainty_px].freeze

        module_function

        # rules: `photo` of knowledge/measurement.yml -> Hash
        def rules(rules)
          {
            known:
              rules
                .fetch("known")
                .map do |each|
                  length = each["length_mm"] && Say::Lengths.exact(each["length_mm"])
                  { **each.slice("id", "label", "ask", "standard_uncertainty_mm"), length: }
                end,
            away: rules.fetch("away").map { |each| each.slice("id", "label", "mm") },
            **rules.slice(*FIGURES)
          }
        end

        # Core::Measurement::PhotoMeasure::Result -> Hash
        def call(result)
          unit = Say::Lengths.unit("pad")
          value, low, high =
            [result.value_mm, result.low_mm, result.high_mm].map do |mm|
              Core::Quantity::LENGTH
                .from_base(mm.rationalize(Rational(1, 1_000_000)), unit)
                .to_f
                .round(DIGITS.fetch(unit))
            end
          step = 10**-DIGITS.fetch(unit)
          largest = result.shares.max_by { |_, share| share }.first
          {
            value: format("%.#{DIGITS.fetch(unit)}f", value),
            low: format("%.#{DIGITS.fetch(unit)}f", low),
            high: format("%.#{DIGITS.fetch(unit)}f", [high, low + step].max),
            unit:,
            largest: largest.to_s
          }
        end
      end
    end
  end
end
