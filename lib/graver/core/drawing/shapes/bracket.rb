# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # The caliper bracket: two arms over the rotor's rim that carry the pads, joined inside, bolted to the knuckle.
        # Where the caliper slides on the knuckle, the arms are the knuckle's own.
        module Bracket
          class << self
            # -> [Solid]
            def call(levels, _configuration)
              s = levels.method(:s)
              low = levels.pad_bottom - s[28]
              inside = [levels.bracket_inner, -levels.face - Levels::GAP]
              [
                Forms.box(inside, [-levels.post[1], levels.post[1]], [low, levels.pad_bottom - s[6]]),
                *[-1, 1].flat_map { |side| arm(levels, side, inside) }
              ]
            end

            # Bolts from inside, through the knuckle; clips where the pads' ears slide.
            def bolts(levels)
              s = levels.method(:s)
              seat = levels.bracket_inner - s[12]
              places = [-1, 1].map { |side| [side * s[52], levels.pad_bottom - s[16]] }
              {
                "bracket_bolt" => places.flat_map { |at| Ring.bolt(at, s[9], s[5], seat, -s[22]) },
                "clips" => [-1, 1].flat_map { |side| clips(levels, side) }
              }
            end

            private

            def arm(levels, side, inside)
              s = levels.method(:s)
              y = levels.post.map { |each| side * each }.minmax
              foot = levels.pad_bottom - s[6]
              rim = levels.radius - s[10]
              [
                Forms.box(inside, y, [foot, levels.top - s[6]]),
                Forms.box([inside[1], levels.face + Levels::GAP], y, [rim, levels.top - s[6]]),
                Forms.box([levels.face + Levels::GAP, levels.bracket_outer], y, [levels.pad_bottom, levels.top - s[6]])
              ]
            end

            def clips(levels, side)
              s = levels.method(:s)
              y = [side * s[63.2], side * s[64.8]].minmax
              z = [levels.pad_middle - s[13], levels.pad_middle + s[13]]
              [
                Forms.box([levels.bracket_inner, -levels.face - Levels::GAP], y, z),
                Forms.box([levels.face + Levels::GAP, levels.bracket_outer], y, z)
              ]
            end
          end
        end
      end
    end
  end
end
