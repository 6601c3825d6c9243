# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # Hose or pipe, its joints, and the bleed screws, at the back of a caliper.
        module Hydraulics
          class << self
            # back: where the caliper ends inside; bleeders: where its bleed screws sit, along the axle
            def call(levels, configuration, back:, bleeders:)
              at = [-levels.s(24), levels.pad_middle + levels.s(14)]
              {
                **joint(levels, configuration["hose_fittings"], at, back),
                **holder(levels, configuration, back),
                "bleed_screw" => bleeders.flat_map { |x| screw(levels, x) },
                "hook" => hook(levels, back)
              }
            end

            private

            def screw(levels, along)
              s = levels.method(:s)
              [
                Forms.hexagon("z", [along, s[30]], s[5], levels.top, levels.top + s[7]),
                Forms.cylinder("z", [along, s[30]], s[3], levels.top + s[7], levels.top + s[16], corners: 6)
              ]
            end

            def joint(levels, fitting, at, back)
              s = levels.method(:s)
              rigid = fitting == "pipe"
              line = hose(levels, at, back - s[6], rigid ? s[2.5] : s[5])
              unless fitting == "banjo"
                return { "hose" => line, "hose_end" => [Forms.hexagon("x", at, s[7], back - s[14], back)] }
              end

              {
                "hose" => [Forms.cylinder("x", at, s[9], back - s[9], back - s[1], corners: 16), *line],
                "banjo_bolt" => Ring.bolt(at, s[8], s[4.5], back - s[9], -s[20])
              }
            end

            # Sideways from the caliper, then to the body.
            def hose(levels, at, along, radius)
              s, (y, z) = levels.method(:s), at
              [
                Forms.cylinder("y", [along, z], radius, y - s[104] + radius, y - s[8], corners: 6),
                Forms.cylinder("x", [y - s[104], z], radius, along - s[56], along + radius, corners: 6)
              ]
            end

            # Where the hose ends at the body, with its clip or bracket.
            def holder(levels, configuration, back)
              s = levels.method(:s)
              at = [-s[128], levels.pad_middle + s[14]]
              x = back - s[62]
              ends = [Forms.box([x - s[4], x], [at[0] - s[14], at[0] + s[14]], [at[1] - s[26], at[1] + s[12]])]
              found = { "hose_mount" => ends, "body_joint" => [Forms.hexagon("x", at, s[7], x - s[18], x - s[4])] }
              return found unless configuration["hose_holders"] == "bolt"

              { **found, "hose_holder_bolt" => Ring.bolt([at[0], at[1] - s[18]], s[6], s[3], x, s[14]) }
            end

            # A wire hook over the caliper that hangs.
            def hook(levels, back)
              s = levels.method(:s)
              [Forms.cylinder("z", [back + s[16], 0], s[2], levels.top, levels.top + s[56], corners: 6)]
            end
          end
        end
      end
    end
  end
end
