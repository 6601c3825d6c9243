# frozen_string_literal: true

module Graver
  module Core
    module Quantity
      # One figure, or two as people write a range: "125-150", "125 to 150", "125–150". high is nil for one figure.
      EnteredRange =
        Value.define(:low, :high) do
          const_set :BETWEEN, /\A(\S+?)\s*(?:-|–|to)\s*(\S+)\z/

          # Raises InvalidEntry (field "") when it is neither, or runs backwards.
          def self.parse(text)
            text = text.to_s.scrub("?").strip
            match = self::BETWEEN.match(text)
            return new(low: EnteredNumber.parse(text), high: nil) unless match

            low, high = match.captures.map { |each| EnteredNumber.parse(each) }
            raise InvalidEntry.of("", "order", Message.of("faults.range_order")) unless low.value < high.value

            new(low:, high:)
          end

          # The target: the figure, or the middle of the range.
          def middle = high ? (low.value + high.value) / 2 : low.value
        end
    end
  end
end
