# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # A drum brake: the drum, two shoes on the backing plate, and what spreads and adjusts them.
        module Drum
          LEADING = [112, 248].freeze
          TRAILING = [-68, 68].freeze

          class << self
            # levels: DrumLevels
            def call(levels, configuration)
              {
                "drum" => drum(levels, configuration),
                "backing_plate" => plate(levels),
                "leading_shoe" => shoe(levels, LEADING, levels.sizes.inner),
                "trailing_shoe" => shoe(levels, TRAILING, levels.sizes.outer),
                **fittings(levels, configuration),
                **held(levels, configuration),
                **DrumWorks.call(levels, configuration)
              }
            end

            private

            def drum(levels, configuration)
              s = levels.method(:s)
              hub = configuration["drum_retentions"] == "hub"
              [
                Forms.cylinder(
                  "x",
                  [0, 0],
                  levels.outside,
                  levels.open_edge,
                  levels.closed[0],
                  corners: 32,
                  hole: levels.radius
                ),
                Forms.cylinder("x", [0, 0], levels.outside, *levels.closed, corners: 32, hole: hub ? s[24] : s[30]),
                *(hub ? one_piece(levels) : [])
              ]
            end

            # The drum's own hub, with studs.
            def one_piece(levels)
              s, (_, face) = levels.method(:s), levels.closed
              [
                Forms.cylinder("x", [0, 0], s[33], s[12], levels.closed[0], hole: s[24]),
                Forms.cylinder("x", [0, 0], s[33], face, face + s[14], hole: s[24]),
                *studs(levels, [face, face + s[30]])
              ]
            end

            def studs(levels, along)
              Ring
                .places(levels.sizes.counts.fetch("wheel_nut", 5), levels.bolt_circle)
                .map { |at| Forms.cylinder("x", at, levels.s(5), *along, corners: 6) }
            end

            def plate(levels)
              s = levels.method(:s)
              [
                Forms.cylinder("x", [0, 0], levels.radius + s(levels, 4), *levels.plate, corners: 32),
                Forms.box(
                  [levels.plate[1], levels.shoes[1]],
                  [-s[17], s[17]],
                  [levels.anchor - s[10], levels.anchor + s[2]]
                )
              ]
            end

            def s(levels, length) = levels.s(length)

            # Table, web and lining of a shoe, as wedges.
            def shoe(levels, (low, high), friction)
              s, (back, front) = levels.method(:s), levels.shoes
              table = levels.table(friction)
              middle = (back + front) / 2
              [
                *Forms.arc(table - s[4], table, [low, high], levels.shoes),
                *Forms
                  .arc(table, levels.radius - s[1.5], [low + 9, high - 9], levels.shoes)
                  .map { |each| each.with(stuff: "friction") },
                *Forms.arc(table - s[20], table - s[4], [low, high], [middle - s[2], middle + s[2]])
              ]
            end

            # What the drum runs on, where it isn't its own hub, or its nut and bearing where it is.
            def fittings(levels, configuration)
              s, (_, face) = levels.method(:s), levels.closed
              unless configuration["drum_retentions"] == "hub"
                hub = [
                  Forms.cylinder("x", [0, 0], s[27], levels.plate[0] - s[30], levels.closed[0] - s[10]),
                  Forms.cylinder("x", [0, 0], s[68], levels.closed[0] - s[10], levels.closed[0]),
                  Forms.cylinder("x", [0, 0], s[28], levels.closed[0], face + s[8]),
                  *studs(levels, [levels.closed[0], face]),
                  *studs(levels, [face, face + s[30]])
                ]
                return { "hub" => hub }
              end

              {
                "spindle" => [Forms.cylinder("x", [0, 0], s[14], levels.plate[0] - s[30], face + s[16], corners: 14)],
                "bearing" => [Forms.cylinder("x", [0, 0], s[23], face + s[2], face + s[11], hole: s[14])],
                "drum_hub_nut" => [Forms.hexagon("x", [0, 0], s[20], face + s[11], face + s[24])],
                "grease_cap" => [Forms.cylinder("x", [0, 0], s[27], face + s[24], face + s[42])]
              }
            end

            def held(levels, configuration)
              s, (_, face) = levels.method(:s), levels.closed
              case configuration["drum_retentions"]
              when "screws", "push_off"
                count = levels.sizes.counts.fetch("drum_screw", 1)
                nuts = levels.sizes.counts.fetch("wheel_nut", 5)
                places =
                  Array.new(count) do |at|
                    Forms.on(levels.bolt_circle, 90 + (360.0 / nuts * ((at * nuts / count) + 0.5)))
                  end
                { "drum_screw" => places.flat_map { |at| Ring.bolt(at, s[6], s[3], face, s[12]) } }
              when "stud_clips"
                places = Ring.places(levels.sizes.counts.fetch("wheel_nut", 5), levels.bolt_circle)
                {
                  "drum_clip" =>
                    places.map { |at| Forms.cylinder("x", at, s[9], face, face + s[4], corners: 12, hole: s[5]) }
                }
              else
                {}
              end
            end
          end
        end
      end
    end
  end
end
