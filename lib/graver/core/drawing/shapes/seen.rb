# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # What was seen on a rotor's faces: grooves, a lip, heat spots, pits, cracks. A lip is as high as it was marked.
        module Seen
          GROOVES = { "grooved_light" => 2, "grooved" => 4, "grooved_deep" => 6 }.freeze
          # In mm, in the middle of what each mark says.
          LIPS = { "lip_low" => 0.4, "lipped" => 0.75, "lip_high" => 1.5 }.freeze
          SPOTS = {
            "heat_spotted" => [7, 10, "heat"],
            "blued" => [5, 13, "heat"],
            "pitted" => [16, 3.5, "rust"]
          }.freeze
          # So that it can be seen, and lies before the face.
          RAISED = 0.3

          class << self
            # marks: [[id of the mark, "inner" or "outer"]] -> [Solid]
            def call(levels, marks)
              marks.flat_map do |mark, side|
                grooves(levels, GROOVES.fetch(mark, 0), side) + lip(levels, LIPS[mark], side) +
                  spots(levels, SPOTS[mark], side) + (mark == "cracked" ? cracks(levels, side) : [])
              end
            end

            private

            # From the face outwards.
            def on(levels, side, height)
              side == "inner" ? [-levels.face - height, -levels.face] : [levels.face, levels.face + height]
            end

            def grooves(levels, count, side)
              Array.new(count) do |at|
                radius = levels.pad_bottom + (levels.pad_height * (at + 0.5) / count)
                ring(radius + levels.s(1), radius - levels.s(1), on(levels, side, RAISED)).with(stuff: "groove")
              end
            end

            def lip(levels, height, side)
              height ? [ring(levels.radius, levels.pad_top, on(levels, side, height))] : []
            end

            def ring(outer, inner, along)
              Forms.cylinder("x", [0, 0], outer, *along, corners: 32, hole: inner)
            end

            def spots(levels, spot, side)
              count, size, stuff = spot
              Array.new(count || 0) do |at|
                # every other one further in, as spots are
                radius = levels.pad_bottom + (levels.pad_height * (at.even? ? 0.65 : 0.35))
                place = Forms.on(radius, 360.0 * at / count)
                Forms.cylinder("x", place, levels.s(size), *on(levels, side, RAISED), corners: 8).with(stuff:)
              end
            end

            def cracks(levels, side)
              [70, 200].map do |degrees|
                wide = levels.s(1.2)
                outline = [
                  [levels.pad_bottom, -wide],
                  [levels.radius, -wide],
                  [levels.radius, wide],
                  [levels.pad_bottom, wide]
                ]
                turned = outline.map { |point| Wheel.turned(point, degrees) }
                Forms.prism("x", turned, *on(levels, side, RAISED)).with(stuff: "groove")
              end
            end
          end
        end
      end
    end
  end
end
