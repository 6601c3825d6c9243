# frozen_string_literal: true

require_relative "../value"
require_relative "../quantity/units"

module Graver
  module Core
    module Planning
      # A tightening torque as entered, and the same in the units of the wrench.
      Torque = Value.define(:entered, :unit, :newton_metres) do
        # EnteredNumber, TORQUE unit -> Torque.
        def self.from(number, unit)
          new(entered: number.value.to_f, unit:, newton_metres: Quantity::TORQUE.to_base(number.value, unit))
        end

        # Three significant figures: finer than any wrench is read.
        def in_unit(wanted)
          value = Quantity::TORQUE.from_base(newton_metres, wanted)
          wanted == unit ? entered : value.round([2 - Math.log10(value).floor, 0].max)
        end

        # The unit that was probably meant, when the value is outside the plausible range but the same figure in
        # another unit, or ten times more or less, would be inside it. nil when plausible, "unknown" when nothing fits.
        def doubt(least, most)
          return if newton_metres.between?(least, most)

          other = Quantity::TORQUE.units.find { |name| name != unit && Quantity::TORQUE.to_base(entered, name).between?(least, most) }
          return other if other

          [10.0, 0.1].any? { |factor| (newton_metres * factor).between?(least, most) } ? "ten_times" : "unknown"
        end
      end
    end
  end
end
