# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # A fixed caliper: a half with pistons on either side of the rotor, open on top, the pads come out there.
        module Fixed
          class << self
            # bolted: along the axle, where the caliper's own bolts go; "in" from inside, "out" from outside
            def call(levels, _configuration, half: levels.s(72), bolts: "fixed_caliper_bolt", pins: 2)
              {
                "caliper" => halves(levels, half),
                "piston" => pistons(levels, half),
                bolts => mounting(levels, half, bolts),
                "pad_pin" => pad_pins(levels, pins)
              }
            end

            # Of one half, along the axle.
            def depth(levels) = levels.s(34)

            # Each half starts behind where the back of a new pad is.
            def inside(levels) = levels.face + levels.sizes.new_friction + levels.sizes.plate + Levels::GAP

            private

            def halves(levels, half)
              s, inside = levels.method(:s), inside(levels)
              low = levels.pad_bottom - s[4]
              outline = [
                [-half + s[12], low],
                [half - s[12], low],
                [half, low + s[16]],
                [half, levels.top],
                [-half, levels.top],
                [-half, low + s[16]]
              ]
              [
                Forms.prism("x", outline, -inside - depth(levels), -inside),
                *[-1, 1].map do |side|
                  Forms.box([-inside, inside], [side * (half - s[11]), side * half].minmax, [levels.above, levels.top])
                end,
                Forms.prism("x", outline, inside, inside + depth(levels))
              ]
            end

            def per_side(levels) = [(levels.sizes.pistons || 4) / 2, 1].max

            def pistons(levels, half)
              count = per_side(levels)
              room = (half - levels.s(14)) / count
              radius = [levels.sizes.piston, room - 2, levels.pad_height / 2.1].min
              inside = inside(levels)
              Array
                .new(count) { |at| ((2 * at) + 1 - count) * room }
                .flat_map do |y|
                  [
                    Forms.cylinder("x", [y, levels.pad_middle], radius, -inside, levels.inner_back),
                    Forms.cylinder("x", [y, levels.pad_middle], radius, levels.outer_back, inside)
                  ]
                end
            end

            def mounting(levels, half, kind)
              s, z = levels.method(:s), levels.pad_bottom + s_(levels, 4)
              count = levels.sizes.counts.fetch(kind, 2)
              places = Array.new(count) { |at| [half * 0.72 * (count == 1 ? 0 : (2.0 * at / (count - 1)) - 1), z] }
              seat = -inside(levels) - depth(levels)
              places.flat_map { |at| Ring.bolt(at, s[9], s[5], seat, -s[24]) }
            end

            def s_(levels, length) = levels.s(length)

            # Rods through both halves, over or through the pads.
            def pad_pins(levels, count)
              s, inside = levels.method(:s), inside(levels)
              z = levels.pad_top + s[7]
              Array
                .new(count) { |at| count == 1 ? 0 : s[26] * ((2 * at) - 1) }
                .map { |y| Forms.cylinder("x", [y, z], s[3], -inside, inside + depth(levels) + s[4], corners: 6) }
            end
          end
        end
      end
    end
  end
end
