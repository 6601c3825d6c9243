# frozen_string_literal: true

module Graver
  module Core
    module Quantity
      # A family of units with exact factors to one base unit.
      class UnitTable
        attr_reader :base

        # factors: { "mm" => 1r, "in" => 25.4r }, Rational so that conversions don't round.
        def initialize(base:, factors:)
          @base = base
          @factors = factors.freeze
          freeze
        end

        # -> [unit]
        def units = @factors.keys
        # Whether it has a unit.
        def include?(unit) = @factors.key?(unit)

        # Raises KeyError for a unit outside the table.
        def to_base(value, unit) = (value * @factors.fetch(unit)).to_f
        # value in the base unit -> Float in a unit. Raises KeyError for a unit outside the table.
        def from_base(value, unit) = (value / @factors.fetch(unit)).to_f
      end
    end
  end
end
