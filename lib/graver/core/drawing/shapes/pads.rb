# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # Both pads, as thick as they are, their springs and the wear sensor.
        module Pads
          class << self
            # levels: Levels; half_width: of a pad -> { part id => [Solid] }
            def call(levels, configuration, half_width: levels.pad_half_width)
              inner = [levels.inner_plate, -levels.face, levels.inner_back]
              outer = [levels.outer_plate, levels.face, levels.outer_back]
              {
                "inner_pad" => pad(levels, inner, half_width),
                "outer_pad" => pad(levels, outer, half_width),
                **spread(levels, configuration, half_width),
                "wear_sensor" => sensor(levels)
              }
            end

            private

            # across: [back of the friction, face, back of the plate] along the axle
            def pad(levels, across, half)
              s, (back, face, plate) = levels.method(:s), across
              low, high = levels.pad_bottom, levels.pad_top
              friction =
                Forms.prism("x", outline(half - s[4], low + s[3], high - s[2], s[10]), back, face).with(
                  stuff: "friction"
                )
              ears =
                [-1, 1].map do |side|
                  y = [side * half, side * (half + s[7])].minmax
                  Forms.box([back, plate].minmax, y, [levels.pad_middle - s[8], levels.pad_middle + s[8]])
                end
              [friction, Forms.prism("x", outline(half, low, high, s[10]), back, plate), *ears]
            end

            # A plate narrower at its foot.
            def outline(half, low, high, taper)
              [
                [-half + taper, low],
                [half - taper, low],
                [half, high - taper],
                [half - taper, high],
                [-half + taper, high],
                [-half, high - taper]
              ]
            end

            # Springs that push the pads apart lie over their backs.
            def spread(levels, configuration, half)
              return {} unless configuration["springs"] == "spread"

              s = levels.method(:s)
              reach = [levels.inner_back + s[1], levels.outer_back - s[1]]
              {
                "spread_spring" =>
                  [-1, 1].map do |side|
                    y = [side * (half - s[14]), side * (half - s[20])].minmax
                    Forms.box(reach, y, [levels.pad_top - s[1], levels.pad_top + s[1.5]])
                  end
              }
            end

            def sensor(levels)
              s = levels.method(:s)
              x = [levels.inner_back - s[5], levels.inner_back]
              z = [levels.pad_middle - s[5], levels.pad_middle + s[5]]
              [
                Forms.box(x, [-s[52], -s[42]], z),
                Forms.box([x[0] - s[30], x[0]], [-s[49], -s[46]], [z[0] + s[3], z[1] - s[4]])
              ]
            end
          end
        end
      end
    end
  end
end
