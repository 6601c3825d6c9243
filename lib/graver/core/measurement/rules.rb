# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # How well each method reads each part, and what is taken where the owner gave nothing.
      # by_method: { "caliper" => { "pad" => 0.15, "rotor" => 0.08, "instrument" => 0.03 } }, standard uncertainties
      # in mm; "instrument" is the tool's own share in them.
      # shared: share of a method's variance that all readings of one day by it have in common, { "visual" => 0.6 }.
      # repeatability: { "micrometer" => { mm: 0.005, resolution_mm: 0.01 } }, how far readings of one tool on one day
      # differ by chance, one standard deviation, and what its scale shows.
      # typical_new_pads: { nil => { mm: 11.0, standard_uncertainty_mm: 1.2 }, "motorcycle" => ... }, nil: any other
      # kind. tabs: { "squealer" => { height_mm:, standard_uncertainty_mm: } }; ranges: { "pad" => [0, 30], "rotor" =>
      # [1, 50], ... }.
      Rules =
        Value.define(
          :by_method,
          :percent_standard_uncertainty,
          :gauge_step_mm,
          :typical_new_pads,
          :typical_backing_mm,
          :typical_backing_uncertainty_mm,
          :known_backing_uncertainty_mm,
          :tabs,
          :ranges,
          :shared,
          :repeatability
        ) do
          # nil if unknown: the method's own uncertainty is used. A round figure is read off the same scale
          # as its neighbours: 24.6 beside 24.57 is 24.60.
          def repeatability_mm(method, step_mm)
            known = repeatability[method]
            known && TypeB.combined(known.fetch(:mm), TypeB.resolution([step_mm, known.fetch(:resolution_mm)].min))
          end
          # Friction of a new pad on such a vehicle -> { mm:, standard_uncertainty_mm: }
          def typical_new(kind) = typical_new_pads.fetch(kind) { typical_new_pads.fetch(nil) }

          # -> share of a method's variance that all its readings have in common, 0 to 1
          def shared(method) = self[:shared].fetch(method, 0.0)

          # Whether a method reads a part.
          def method?(method, part) = method == "percent" || by_method.fetch(method, {}).key?(part)

          # With a tool whose own uncertainty is known, that takes the place of the usual tool's.
          def standard_uncertainty_mm(method, part, own_mm = nil)
            known = by_method.fetch(method)
            usual = known.fetch(part)
            return usual unless own_mm

            handling = [(usual**2) - (known.fetch("instrument", 0.0)**2), 0.0].max
            Math.sqrt(handling + (own_mm**2))
          end

          # kind: "squealer", "sensor" or "metal" -> { height_mm:, standard_uncertainty_mm: }. Raises KeyError.
          def tab(kind) = tabs.fetch(kind)
          # -> [least, most] mm that can be read of a part. Raises KeyError.
          def range_mm(part) = ranges.fetch(part)
        end
    end
  end
end
