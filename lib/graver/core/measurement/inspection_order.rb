# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # The owner's way round the vehicle: from which corner, which way, and what first within a wheel.
      class InspectionOrder
        # As seen from above with the front ahead; left and right are the vehicle's.
        CLOCKWISE = %w[front_left front_right rear_right rear_left].freeze
        # The whole way, with a trailer's middle axle; its single one stands where a front one would.
        WALK = %w[front_left front_right middle_right rear_right rear_left middle_left].freeze
        AXLES = %w[front middle rear].freeze
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
          present.sort_by { |axle, side| rank.fetch("#{axle == "single" ? "front" : axle}_#{side}") }
        end

        # Kinds of position that exist, in reading order; unnamed ones come last.
        def positions(kinds) = kinds.sort_by.with_index { |kind, at| [@within.index(kind) || @within.length, at] }

        private

        def order
          return across if @direction == "across"

          way = @direction == "clockwise" ? WALK : WALK.reverse
          way.rotate(way.index(@start))
        end

        def across
          axle, side = @start.split("_")
          axles = axle == "rear" ? AXLES.reverse : AXLES
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
