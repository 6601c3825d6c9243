# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # A motorcycle's wheel brake: a thin rotor on its carrier, and a caliper bolted to the fork leg from outside.
        module Motorcycle
          class << self
            # levels: Levels -> { part id => [Solid] }
            def call(levels, configuration)
              fixed = configuration["calipers"] == "motorcycle_fixed"
              {
                **wheel(levels),
                **(
                  if fixed
                    Fixed.call(levels, configuration, half: half(levels), bolts: "caliper_mount_bolt", pins: 1)
                  else
                    floating(levels)
                  end
                ),
                **mounted(levels)
              }
            end

            private

            def half(levels) = levels.s(58)

            def wheel(levels)
              s, face = levels.method(:s), levels.face
              bolts = levels.sizes.counts.fetch("rotor_bolt", 5)
              carrier = levels.radius * 0.55
              {
                "rotor" => [
                  Forms.cylinder("x", [0, 0], levels.radius, -face, face, corners: 32, hole: levels.radius * 0.66),
                  *Array.new(bolts) { |at| spoke(levels, 90 + (360.0 * (at + 0.5) / bolts), carrier) },
                  Forms.cylinder("x", [0, 0], carrier, -face, face, corners: 24, hole: s[32])
                ],
                "rotor_bolt" => Ring.bolts(Ring.places(bolts, carrier - s[12]), s[6], s[3.5], face, s[20]),
                "hub" => [
                  Forms.cylinder("x", [0, 0], carrier - s[2], -face - s[26], -face),
                  Forms.cylinder("x", [0, 0], s[26], -face, face + s[20], hole: s[11])
                ],
                "axle_nut" => axle(levels)
              }
            end

            def spoke(levels, angle, carrier)
              wide = levels.s(9)
              outline = [[carrier, -wide], [levels.radius * 0.66, -wide], [levels.radius * 0.66, wide], [carrier, wide]]
              Forms.prism("x", outline.map { |point| Wheel.turned(point, angle) }, -levels.face, levels.face)
            end

            def axle(levels)
              s = levels.method(:s)
              out = levels.face + s[44]
              [
                Forms.cylinder("x", [0, 0], s[9], -levels.face - s[60], out, corners: 12),
                Forms.hexagon("x", [0, 0], s[15], out, out + s[13])
              ]
            end

            # Pistons on one side, the body floats on pins in a plate that is bolted to the fork.
            def floating(levels)
              s, half = levels.method(:s), half(levels)
              pistons =
                Floating.pistons(levels).map { |each| each.with(from: levels.outer_back, to: levels.outer_back + s[4]) }
              out = levels.outer_back + s[4]
              low = levels.pad_middle - levels.sizes.piston - s[7]
              outline = [
                [-half + s[14], low],
                [half - s[14], low],
                [half, levels.pad_middle],
                [half, levels.top],
                [-half, levels.top],
                [-half, levels.pad_middle]
              ]
              {
                "caliper" => [
                  Forms.prism("x", outline, out, out + s[30]),
                  Forms.box([levels.inner_back, out], [-half, half], [levels.above, levels.top]),
                  Forms.box(
                    [levels.inner_back - s[10], levels.inner_back],
                    [-half, half],
                    [levels.pad_bottom + s[6], levels.top]
                  )
                ],
                "piston" => pistons,
                "pad_pin" => [
                  Forms.cylinder("x", [0, levels.pad_top + s[5]], s[3], levels.inner_back, out + s[34], corners: 6)
                ],
                "caliper_mount_bolt" => []
              }
            end

            # The fork leg's lugs; bolts into them from outside.
            def mounted(levels)
              s = levels.method(:s)
              count = levels.sizes.counts.fetch("caliper_mount_bolt", 2)
              y = s[120]
              heights =
                Array.new(count) do |at|
                  levels.pad_bottom + (count == 1 ? levels.pad_height / 2 : levels.pad_height * at / (count - 1))
                end
              seat = levels.face + s[22]
              {
                "fork" => [
                  Forms.cylinder(
                    "z",
                    [-levels.face - s[40], y + s[26]],
                    s[20],
                    -s[40],
                    levels.top + s[40],
                    corners: 16
                  ),
                  *heights.map do |z|
                    Forms.box([-levels.face - s[24], seat - s[8]], [y - s[9], y + s[10]], [z - s[8], z + s[8]])
                  end
                ],
                "caliper_arm" =>
                  heights.map { |z| Forms.box([seat - s[8], seat], [half(levels), y + s[9]], [z - s[8], z + s[8]]) },
                "caliper_mount_bolt" => heights.flat_map { |z| Ring.bolt([y, z], s[8], s[4.5], seat, s[26]) }
              }
            end
          end
        end
      end
    end
  end
end
