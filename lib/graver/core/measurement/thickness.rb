# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # A thickness in mm with what is known of its error.
      #
      # A point has `value_mm` and a standard uncertainty. An interval says only that the thickness lies between
      # `lower_mm` and `upper_mm`, each bound blurred by `edge_mm` (standard uncertainty of the bound itself); its
      # `value_mm` is the middle and its standard uncertainty half its width over the square root of three
      # (rectangular distribution, JCGM 100:2008, 4.3.7).
      # `assumed` names what had to be taken from typical values.
      # `shared_mm` is the part of the standard uncertainty that all readings of one `group` (one day, one eye, one
      # gauge, one unknown new thickness) have in common; it does not average out (JCGM 100:2008, F.1.2).
      # `repeat_mm` is the standard deviation of its difference from others of that day by the same tool.
      Thickness =
        Value.define(
          :kind,
          :value_mm,
          :standard_uncertainty_mm,
          :lower_mm,
          :upper_mm,
          :edge_mm,
          :assumed,
          :shared_mm,
          :group,
          :repeat_mm
        ) do
          def initialize(standard_uncertainty_mm:, shared_mm: 0.0, group: nil, repeat_mm: nil, **rest)
            repeat_mm ||= standard_uncertainty_mm
            super
          end

          # A value with its standard uncertainty, mm; shared_mm: the part of it that a group of readings has in common.
          def self.point(value_mm, standard_uncertainty_mm, assumed: [], shared_mm: 0.0, group: nil, repeat_mm: nil)
            new(
              kind: :point,
              value_mm:,
              standard_uncertainty_mm:,
              lower_mm: nil,
              upper_mm: nil,
              edge_mm: 0.0,
              assumed:,
              shared_mm:,
              group:,
              repeat_mm:
            )
          end

          # Without the shared part: its own error alone.
          def own
            return self unless shared_mm.positive?

            with(
              standard_uncertainty_mm: TypeB.without(standard_uncertainty_mm, shared_mm),
              edge_mm: TypeB.without(edge_mm, shared_mm),
              shared_mm: 0.0
            )
          end

          # Between two bounds, mm, each uncertain by edge_mm.
          def self.interval(lower_mm, upper_mm, edge_mm: 0.0, assumed: [], shared_mm: 0.0, group: nil)
            new(
              shared_mm:,
              group:,
              kind: :interval,
              value_mm: (lower_mm + upper_mm) / 2.0,
              standard_uncertainty_mm: TypeB.combined(TypeB.between(lower_mm, upper_mm), edge_mm),
              lower_mm:,
              upper_mm:,
              edge_mm:,
              assumed:
            )
          end

          # Whether only bounds are known.
          def interval? = kind == :interval
        end
    end
  end
end
