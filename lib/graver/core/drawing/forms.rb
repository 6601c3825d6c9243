# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # Solids by their form.
      module Forms
        module_function

        # at, radius across the axis
        def cylinder(axis, at, radius, from, to, corners: 20, hole: nil)
          Solid.new(
            axis:,
            outline: round(at, radius, corners),
            from:,
            to:,
            hole: hole && round(at, hole, corners),
            seams: [],
            stuff: nil
          )
        end

        # A hexagon head, nut or bar.
        def hexagon(axis, at, radius, from, to) = cylinder(axis, at, radius, from, to, corners: 6)

        # x, y, z: [from, to]
        def box(x, y, z)
          prism("x", [[y[0], z[0]], [y[1], z[0]], [y[1], z[1]], [y[0], z[1]]], *x)
        end

        # outline across the axis, either end first -> Solid
        def prism(axis, outline, from, to, seams: [])
          Solid.new(axis:, outline:, from: [from, to].min, to: [from, to].max, hole: nil, seams:, stuff: nil)
        end

        # A part of a ring about the x axis, as wedges. inner, outer: radii; angles: [from, to] in degrees from the
        # y axis to the z axis; x: [from, to] -> [Solid]
        def arc(inner, outer, angles, x, wedges: 6)
          step = (angles[1] - angles[0]) / wedges.to_f
          Array.new(wedges) do |at|
            low, high = angles[0] + (at * step), angles[0] + ((at + 1) * step)
            outline = [on(inner, low), on(outer, low), on(outer, high), on(inner, high)]
            prism("x", outline, *x, seams: [(0 if at.positive?), (2 if at < wedges - 1)].compact)
          end
        end

        # The point at a radius and an angle in degrees, from a centre.
        def on(radius, degrees, at = [0, 0])
          angle = degrees * Math::PI / 180
          [at[0] + (radius * Math.cos(angle)), at[1] + (radius * Math.sin(angle))]
        end

        # A circle as corners -> [[a, b]]
        def round(at, radius, corners)
          Array.new(corners) { |corner| on(radius, 360.0 * (corner + 0.5) / corners, at) }
        end
      end
    end
  end
end
