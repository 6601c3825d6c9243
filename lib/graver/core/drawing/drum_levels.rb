# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # Where the parts of a drum brake meet, in mm along the axle (x) and away from it.
      class DrumLevels
        attr_reader :sizes

        def initialize(sizes)
          @sizes = sizes
        end

        # Of the drum's inside.
        def radius = sizes.radius
        # Its outside.
        def outside = radius + s(9)
        # [from, to] of the backing plate.
        def plate = [-s(9), -s(4)]
        # [from, to] of the shoes.
        def shoes = [s(3), s(39)]
        # The drum's open side.
        def open_edge = 0.0
        # [from, to] of its closed face.
        def closed = [s(44), s(50)]
        # Where the wheel sits.
        def hat_top = closed[1]
        # Radius on which the wheel's studs sit.
        def bolt_circle = s(56)
        # Where the shoe's table carries its lining: linings as thick as they are end at the drum.
        def table(friction) = radius - s(1.5) - [friction, 0.5].max
        # Height of the shoes' anchor.
        def anchor = -radius * 0.72
        # Height of the wheel cylinder.
        def cylinder = radius * 0.72
        # A length of a usual brake in this one's size.
        def s(length) = sizes.scaled(length) * 1.15
      end
    end
  end
end
