# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # The owner's way round the vehicle: from which corner, which way, and what first within a wheel.
      class InspectionOrder
        # As seen from above with the front ahead; left and right are the vehicle's.
        CLOCKWISE = %w[front_left front_right rear_right rear_left].freeze
        # A trailer's single axle stands where a front one would, its middle one between the two.
        AXLES = { "single" => "front", "middle" => "front" }.freeze
        # "across" takes one axle at a time.
        DIRECTIONS = %w[clockwise anticlockwise across].freeze

        # start: a corner of CLOCKWISE; direction: of DIRECTIONS; within: kinds of position in the order they are read.
        def initialize(start:, direction:, within:)
          @start = known(start, CLOCKWISE, "start")
          @direction = known(direction, DIRECTIONS, "direction")
          @within = within.freeze
          freeze
        end

        # [["front", "left"], ...] of the corners that are there -> the same, in walking order.
        def corners(present)
          rank = order.each_with_index.to_h
          present.sort_by { |axle, side| [rank.fetch("#{AXLES.fetch(axle, axle)}_#{side}"), AXLES.key?(axle) ? 1 : 0] }
        end

        # Kinds of position that exist, in reading order; unnamed ones come last.
        def positions(kinds) = kinds.sort_by.with_index { |kind, at| [@within.index(kind) || @within.length, at] }

        private

        def order
          return across if @direction == "across"

          way = @direction == "clockwise" ? CLOCKWISE : CLOCKWISE.reverse
          way.rotate(way.index(@start))
        end

        def across
          axle, side = @start.split("_")
          axles = [axle, *(%w[front rear] - [axle])]
          sides = [side, *(%w[left right] - [side])]
          axles.product(sides).map { |pair| pair.join("_") }
        end

        def known(value, allowed, field)
          return value if allowed.include?(value)

          raise InvalidEntry.of(field, "unknown_choice", Message.of("faults.choose", choices: allowed))
        end
      end
    end
  end
end
