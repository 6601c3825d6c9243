# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A tightening torque as entered, and in the units of the wrench. The target of a range is its middle; low and
      # high are its ends in the unit entered, else nil.
      Torque =
        Value.define(:entered, :unit, :newton_metres, :low, :high) do
          def initialize(low: nil, high: nil, **rest) = super

          # Text as entered ("28", "125-150"), TORQUE unit -> Torque. Raises InvalidEntry (field "").
          def self.parse(text, unit)
            range = Quantity::EnteredRange.parse(text)
            ends = range.high ? { low: range.low.value.to_f, high: range.high.value.to_f } : {}
            new(entered: range.middle.to_f, unit:, newton_metres: Quantity::TORQUE.to_base(range.middle, unit), **ends)
          end

          # "28 N·m", "125 to 150 N·m"
          def said = "#{low ? "#{format("%g", low)} to #{format("%g", high)}" : format("%g", entered)} #{unit}"

          # Whether two values differ by this share of the smaller or more. A value inside the other's range, or that
          # near to it, agrees.
          def differs?(other, share)
            gap = [ends[0] - other.ends[1], other.ends[0] - ends[1], 0].max
            small = [newton_metres, other.newton_metres].min
            gap >= (small * share) - 1e-9 && gap.positive?
          end

          # [least, most] in N·m, the same of a single value
          def ends
            return newton_metres, newton_metres unless low

            [low, high].map { |value| Quantity::TORQUE.to_base(value, unit).to_f }
          end

          # Three significant figures: finer than any wrench is read.
          def in_unit(wanted)
            value = Quantity::TORQUE.from_base(newton_metres, wanted)
            wanted == unit ? entered : value.round([2 - Math.log10(value).floor, 0].max)
          end

          # The unit that was probably meant, if the value is outside the plausible range but the same figure in another
          # unit, or ten times more or less, would be inside it. nil if plausible, "unknown" if nothing fits.
          def doubt(least, most)
            return if newton_metres.between?(least, most)

            other =
              Quantity::TORQUE.units.find do |name|
                name != unit && Quantity::TORQUE.to_base(entered, name).between?(least, most)
              end
            return other if other

            [10.0, 0.1].any? { |factor| (newton_metres * factor).between?(least, most) } ? "ten_times" : "unknown"
          end
        end
    end
  end
end
