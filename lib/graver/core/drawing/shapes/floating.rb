# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # A floating caliper: pistons inside, fingers outside, on slide pins or on guide bolts of its own.
        module Floating
          class << self
            # levels: Levels -> { part id => [Solid] }
            def call(levels, configuration)
              {
                "caliper" => body(levels),
                "piston" => pistons(levels),
                "bracket" => Bracket.call(levels, configuration),
                **Bracket.bolts(levels),
                **slides(levels, configuration)
              }
            end

            # -> [Solid]
            def pistons(levels)
              places =
                (
                  if twin?(levels)
                    [-1, 1].map { |side| [side * levels.s(22), levels.pad_middle] }
                  else
                    [[0, levels.pad_middle]]
                  end
                )
              radius = twin?(levels) ? [levels.sizes.piston, levels.s(20)].min : levels.sizes.piston
              places.map { |at| Forms.cylinder("x", at, radius, levels.housing, levels.inner_back, corners: 24) }
            end

            private

            def half(levels) = levels.s(46)

            def body(levels)
              s, half = levels.method(:s), half(levels)
              out = levels.outer_back
              [
                housing(levels, half),
                Forms.box([levels.housing, out], [-half, half], [levels.above, levels.top]),
                *[-1, 1].map do |side|
                  y = [side * s[7], side * (half - s[3])].minmax
                  Forms.box([out, out + s[14]], y, [levels.pad_middle - s[20], levels.top])
                end,
                *lugs(levels, half)
              ]
            end

            def housing(levels, half)
              s, middle = levels.method(:s), levels.pad_middle
              low = middle - levels.sizes.piston - s[7]
              foot = twin?(levels) ? half - s[4] : s[24]
              outline = [
                [-foot, low],
                [foot, low],
                [half, middle],
                [half, levels.top],
                [-half, levels.top],
                [-half, middle]
              ]
              Forms.prism("x", outline, levels.housing_back, levels.housing)
            end

            # Ears for the bolts of the slide pins.
            def lugs(levels, half)
              s, (y, z) = levels.method(:s), levels.pin_at
              [-1, 1].map do |side|
                Forms.box(
                  [levels.lug - s[10], levels.lug],
                  [side * half, side * (y + s[9])].minmax,
                  [z - s[9], z + s[9]]
                )
              end
            end

            def twin?(levels) = (levels.sizes.pistons || 1) > 1

            def slides(levels, configuration)
              return guides(levels) if configuration["calipers"] == "floating_spring_retainer"

              s = levels.method(:s)
              y, z = levels.pin_at
              sides = configuration["calipers"] == "floating_hinged" ? [1] : [-1, 1]
              {
                "slide_pin" => [-1, 1].flat_map { |side| pin([side * y, z], levels) },
                "slide_pin_bolt" =>
                  sides.flat_map { |side| Ring.bolt([side * y, z], s[7], s[3.5], levels.lug - s[10], -s[20]) }
              }
            end

            # A pin in its boot.
            def pin(at, levels)
              s = levels.method(:s)
              [
                Forms.cylinder("x", at, s[8], levels.lug + s[1], levels.bracket_inner, corners: 12),
                Forms.cylinder("x", at, s[4.5], levels.bracket_inner, levels.face + s[6], corners: 6)
              ]
            end

            # Guide bolts under caps, and the spring over the fingers.
            def guides(levels)
              s, out = levels.method(:s), levels.outer_back + levels.s(14)
              y, z = levels.pin_at
              low, high = levels.pad_middle - s[14], levels.pad_middle - s[10]
              {
                "guide_bolt" =>
                  [-1, 1].flat_map { |side| Ring.bolt([side * y, z], s[7], s[4.5], levels.lug - s[10], -s[46]) },
                "outer_spring" => [
                  Forms.box([out, out + s[3]], [-s[66], s[66]], [low, high]),
                  *[-1, 1].map do |side|
                    Forms.box([out, out + s[3]], [side * s[62], side * s[66]].minmax, [high, levels.top + s[6]])
                  end,
                  *[-1, 1].map do |side|
                    Forms.box(
                      [levels.face, out + s[3]],
                      [side * s[62], side * s[66]].minmax,
                      [levels.top + s[6], levels.top + s[9]]
                    )
                  end
                ]
              }
            end
          end
        end
      end
    end
  end
end
