# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # Where the parts of a disc brake meet, in mm along the axle (x) and away from it (z). All is stacked on the
      # rotor's faces: thin pads bring the caliper's fingers inwards and the piston out.
      class Levels
        GAP = 2.0

        attr_reader :sizes

        # sizes: Sizes; hat: radius of the hat over that of the rotor; piston_count: pistons side by side
        def initialize(sizes, hat: 0.52)
          @sizes = sizes
          @hat = hat
        end

        # Of the rotor.
        def radius = sizes.radius
        # Its outer face; the inner one is as far the other way.
        def face = sizes.thickness / 2.0
        # Where the inner pad's friction ends and its plate begins.
        def inner_plate = -face - sizes.inner
        # The inner plate's back.
        def inner_back = inner_plate - sizes.plate
        # The same of the outer pad.
        def outer_plate = face + sizes.outer
        # The outer plate's back.
        def outer_back = outer_plate + sizes.plate
        # The housing's face: with new pads the piston is level with it.
        def housing = outer_back - sizes.thickness - (2 * (sizes.new_friction + sizes.plate)) - (3 * GAP)
        # Where a floating caliper ends inside.
        def housing_back = housing - s(38)

        # Of the friction, away from the axle.
        def pad_height = s(46)
        # Just inside the rotor's rim.
        def pad_top = radius - 3
        # Where the pads begin.
        def pad_bottom = pad_top - pad_height
        # Where the pistons press.
        def pad_middle = pad_top - (pad_height / 2)
        # From the middle to an ear.
        def pad_half_width = s(56)
        # Clear of the rotor's rim.
        def above = radius + 4
        # Of the caliper.
        def top = above + s(16)

        # Of the rotor's hat.
        def hat_radius = radius * @hat
        # The hat's outer face, on which the wheel sits.
        def hat_top = face + s(38)
        # The hat's inner face, which sits on the hub.
        def flange = hat_top - s(7)
        # Radius on which the wheel's studs sit.
        def bolt_circle = hat_radius - s(19)

        # The caliper bracket's inner end; it doesn't move with wear.
        def bracket_inner = -face - s(18)
        # Its outer end.
        def bracket_outer = face + s(18)
        # [from, to] of the bracket's arms, from the middle.
        def post = [s(65), s(78)]
        # The outer face of the caliper's ears.
        def lug = bracket_inner - s(13)
        # [y, z] of a slide pin.
        def pin_at = [s(86), pad_middle + s(14)]
        # A length of a usual brake in this one's size.
        def s(length) = sizes.scaled(length)
      end
    end
  end
end
