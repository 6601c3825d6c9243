# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # What stays when a disc brake is apart: knuckle and hub. Of a captive rotor, the hub comes off too.
        module Hub
          class << self
            # levels: Levels -> { part id => [Solid] }
            def call(levels, configuration)
              captive = configuration["retentions"] == "captive"
              { "knuckle" => knuckle(levels, captive), **(captive ? captive(levels) : plain(levels, configuration)) }
            end

            private

            def knuckle(levels, captive)
              s = levels.method(:s)
              back, front = -levels.face - s[60], levels.bracket_inner - s[1]
              ears = [-1, 1].map { |side| ear(levels, side, [front - s[11], front]) }
              spindle = Forms.cylinder("x", [0, 0], s[16], front, levels.flange + s[20], corners: 12) if captive
              [Forms.cylinder("x", [0, 0], s[44], back, front), *ears, spindle].compact
            end

            # An arm from the middle to a bolt of the caliper bracket.
            def ear(levels, side, along)
              s = levels.method(:s)
              low = [side * s[8], s[38]]
              outline = [
                low,
                [side * s[36], s[20]],
                [side * s[64], levels.pad_bottom - s[18]],
                [side * s[40], levels.pad_bottom - s[10]]
              ]
              Forms.prism("x", side.positive? ? outline : outline.reverse, *along)
            end

            def plain(levels, configuration)
              s = levels.method(:s)
              flange = levels.flange
              barrel = Forms.cylinder("x", [0, 0], s[30], -levels.face - s[17], flange - s[11])
              disc =
                Forms.cylinder(
                  "x",
                  [0, 0],
                  [levels.bolt_circle + s[11], levels.hat_radius - s[7]].min,
                  flange - s[11],
                  flange
                )
              pilot = Forms.cylinder("x", [0, 0], s[27], flange, levels.hat_top + s[9])
              { "hub" => [barrel, disc, pilot, *studs(levels, configuration)] }
            end

            # In two pieces, before and behind the rotor's hat.
            def studs(levels, configuration)
              return [] if configuration["wheels_by"] == "bolts" || configuration["vehicles"] == "motorcycle"

              s, seat = levels.method(:s), levels.hat_top
              Ring
                .places(levels.sizes.counts.fetch("wheel_nut", 5), levels.bolt_circle)
                .flat_map do |at|
                  [[levels.flange, seat], [seat, seat + s[32]]].map do |along|
                    Forms.cylinder("x", at, s[5.5], *along, corners: 6)
                  end
                end
            end

            # From outside: the half-shaft's flange with its bolts, the hub nut, the hub, and the rotor on its back.
            def captive(levels)
              s, counts = levels.method(:s), levels.sizes.counts
              out = levels.hat_top + s[34]
              hub = levels.hat_radius - s[20]
              circle = hub - s[12]
              shaft = Ring.places(counts.fetch("half_shaft_bolt", 6), circle)
              {
                "hub" => [
                  Forms.cylinder("x", [0, 0], levels.hat_radius, levels.hat_top, levels.hat_top + s[10], hole: s[24]),
                  Forms.cylinder("x", [0, 0], hub, levels.hat_top + s[10], out, hole: s[30]),
                  *Ring
                    .places(counts.fetch("wheel_nut", 5), levels.hat_radius - s[10])
                    .map do |at|
                      Forms.cylinder("x", at, s[5], levels.hat_top + s[10], levels.hat_top + s[36], corners: 6)
                    end
                ],
                "hub_nut" => [Forms.hexagon("x", [0, 0], s[28], out - s[14], out - s[2])],
                "half_shaft" => [
                  Forms.cylinder("x", [0, 0], s[12], out - s[60], out, corners: 12),
                  Forms.cylinder("x", [0, 0], hub, out, out + s[9])
                ],
                "half_shaft_bolt" => Ring.bolts(shaft, s[6], s[3.5], out + s[9], s[18]),
                "rotor_hub_bolt" =>
                  Ring.bolts(
                    Ring.places(counts.fetch("rotor_hub_bolt", 5), levels.hat_radius - s[10], turned: 126),
                    s[6],
                    s[3.5],
                    levels.flange,
                    -s[16]
                  )
              }
            end
          end
        end
      end
    end
  end
end
