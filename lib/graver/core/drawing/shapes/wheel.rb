# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # A road wheel and what holds it, as it sits on the hub.
        module Wheel
          class << self
            # levels: Levels or DrumLevels -> { part id => [Solid] }
            def call(levels, configuration)
              { "wheel" => wheel(levels), "wheel_nut" => fasteners(levels, configuration) }
            end

            # A point turned round the axle.
            def turned((a, b), degrees)
              angle = degrees * Math::PI / 180
              [(a * Math.cos(angle)) - (b * Math.sin(angle)), (a * Math.sin(angle)) + (b * Math.cos(angle))]
            end

            private

            def wheel(levels)
              seat, s = levels.hat_top, levels.method(:s)
              rim = levels.radius * 1.4
              [
                Forms.cylinder("x", [0, 0], rim * 1.32, seat - s[95], seat + s[75], corners: 36, hole: rim),
                Forms.cylinder("x", [0, 0], levels.bolt_circle + s[20], seat, seat + s[14], hole: s[28]),
                *Array.new(5) do |at|
                  spoke(levels.bolt_circle + s[18], rim, 90 + (72 * at), [seat + s[4], seat + s[22]], s)
                end
              ]
            end

            def spoke(inner, outer, angle, along, scaled)
              wide = scaled[15]
              outer = Math.sqrt((outer**2) - (wide**2)) - 1
              outline =
                [[inner, -wide], [outer, -wide], [outer, wide], [inner, wide]].map { |point| turned(point, angle) }
              Forms.prism("x", outline, *along)
            end

            def fasteners(levels, configuration)
              s, seat = levels.method(:s), levels.hat_top + levels.s(14)
              Ring
                .places(levels.sizes.counts.fetch("wheel_nut", 5), levels.bolt_circle)
                .flat_map do |at|
                  head = Forms.hexagon("x", at, s[9], seat, seat + s[14])
                  next head unless configuration["wheels_by"] == "bolts"

                  [head, Forms.cylinder("x", at, s[5.5], seat - s[30], seat, corners: 6)]
                end
            end
          end
        end
      end
    end
  end
end
