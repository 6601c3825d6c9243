# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # What spreads, pulls back and adjusts the shoes of a drum brake.
        module DrumWorks
          class << self
            # levels: DrumLevels
            def call(levels, configuration)
              {
                "return_spring" => springs(levels),
                "hold_down" => hold_downs(levels),
                "adjuster" => adjuster(levels, configuration["calipers"]),
                **spreader(levels, configuration),
                **cable(levels, configuration)
              }
            end

            private

            def middle(levels) = levels.shoes.sum / 2.0

            def along(levels, wide) = [middle(levels) - levels.s(wide), middle(levels) + levels.s(wide)]

            def springs(levels)
              s = levels.method(:s)
              out = [levels.shoes[1] - s[8], levels.shoes[1] - s[2]].sum / 2
              [levels.cylinder - s[24], levels.anchor + s[20]].map do |z|
                Forms.cylinder("y", [out, z], s[4], -levels.radius * 0.5, levels.radius * 0.5, corners: 6)
              end
            end

            def hold_downs(levels)
              s = levels.method(:s)
              [-1, 1].map do |side|
                Forms.cylinder(
                  "x",
                  [side * levels.radius * 0.76, 0],
                  s[7],
                  middle(levels) + s[3],
                  levels.shoes[1],
                  corners: 12
                )
              end
            end

            # Under the cylinder; of shoes that push each other and of electric brakes, at the foot.
            def adjuster(levels, kind)
              s = levels.method(:s)
              foot = %w[drum_servo drum_electric].include?(kind)
              z = foot ? levels.anchor + s[10] : levels.cylinder - s[40]
              reach = levels.radius * (foot ? 0.42 : 0.6)
              [
                Forms.cylinder("y", [middle(levels), z], s[4], -reach, -s[4], corners: 6),
                Forms.cylinder("y", [middle(levels), z], s[11], -s[4], s[4], corners: 16),
                Forms.cylinder("y", [middle(levels), z], s[4], s[4], reach, corners: 6)
              ]
            end

            def spreader(levels, configuration)
              case configuration["calipers"]
              when "drum_electric"
                electric(levels)
              when "drum_overrun"
                { "expander" => expander(levels) }
              else
                { **cylinder(levels), **pipe(levels) }
              end
            end

            def cylinder(levels)
              s = levels.method(:s)
              bore, z = levels.sizes.piston + s[5], levels.cylinder
              bolts = [-1, 1].map { |side| [side * s[14], z - s[4]] }
              {
                "wheel_cylinder" => [Forms.cylinder("y", [middle(levels), z], bore, -s[27], s[27], corners: 16)],
                "cylinder_piston" =>
                  [-1, 1].map do |side|
                    Forms.cylinder(
                      "y",
                      [middle(levels), z],
                      bore - s[4],
                      *[side * s[27], side * s[36]].minmax,
                      corners: 12
                    )
                  end,
                "cylinder_bolt" => bolts.flat_map { |at| Ring.bolt(at, s[6], s[3], levels.plate[0], -s[16]) },
                "bleed_screw" => Ring.bolt([0, z + s[9]], s[5], s[3], levels.plate[0], -s[14]),
                "cylinder_clamp" => [
                  Forms.box(along(levels, 6), [-s[42], s[42]], [z + bore + s[3], z + bore + s[7]]),
                  *[-1, 1].map do |side|
                    Forms.box(along(levels, 6), [side * s[38], side * s[42]].minmax, [z - s[8], z + bore + s[3]])
                  end
                ]
              }
            end

            # Behind the backing plate, to the cylinder.
            def pipe(levels)
              s, z, back = levels.method(:s), levels.cylinder - levels.s(14), levels.plate[0]
              {
                "pipe_nut" => [Forms.hexagon("x", [0, z], s[6], back - s[12], back)],
                "pipe" => [
                  Forms.cylinder("x", [0, z], s[2.5], back - s[34], back - s[12], corners: 6),
                  Forms.cylinder("z", [back - s[34], 0], s[2.5], -s[40], z + s[2.5], corners: 6)
                ]
              }
            end

            def expander(levels)
              s, z = levels.method(:s), levels.anchor + levels.s(14)
              [
                Forms.box(along(levels, 9), [-s[20], s[20]], [z, z + s[14]]),
                Forms.cylinder("x", [0, z + s[7]], s[5], levels.plate[0] - s[26], middle(levels) - s[9], corners: 6)
              ]
            end

            # The magnet on its arm, against the drum's face.
            def electric(levels)
              s, z = levels.method(:s), -levels.radius * 0.3
              outline =
                [[-22, 0], [-14, -14], [14, -14], [22, 0], [14, 14], [-14, 14]].map { |y, up| [s[y + 24], z + s[up]] }
              {
                "magnet" => [Forms.prism("x", outline, levels.shoes[1] - s[12], levels.shoes[1] + s[3])],
                "magnet_arm" => [
                  Forms.box(along(levels, 4), [s[18], s[30]], [z, levels.cylinder - s[8]]),
                  Forms.cylinder(
                    "x",
                    [s[24], levels.cylinder - s[8]],
                    s[9],
                    levels.plate[1],
                    middle(levels) + s[6],
                    corners: 12
                  )
                ]
              }
            end

            # The parking brake's lever and cable at the trailing shoe; an overrun brake's cable at its expander.
            def cable(levels, configuration)
              s = levels.method(:s)
              if configuration["calipers"] == "drum_overrun"
                return { "cable" => [rod(levels, 0, levels.anchor + s[21])] }
              end
              return {} unless configuration["parking_brakes"] == "shoes"

              y = levels.radius * 0.62
              {
                "lever" => [
                  Forms.box([middle(levels) - s[7], middle(levels) - s[3]], [y - s[6], y + s[6]], [-s[44], s[44]])
                ],
                "cable" => [rod(levels, y - s[2], -s[40])]
              }
            end

            def rod(levels, across, height)
              Forms.cylinder(
                "x",
                [across, height],
                levels.s(4),
                levels.plate[0] - levels.s(60),
                levels.plate[0] - levels.s(27),
                corners: 6
              )
            end
          end
        end
      end
    end
  end
end
