# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      module Shapes
        # A car's rotor and what holds it to the hub.
        module Rotor
          VANE_SHARE = 0.3

          class << self
            # levels: Levels -> { part id => [Solid] }
            def call(levels, configuration)
              { "rotor" => rotor(levels), **held(levels, configuration["retentions"]) }
            end

            private

            def rotor(levels)
              s = levels.method(:s)
              inside = levels.hat_radius - s[6]
              [
                *ring(levels, inside),
                Forms.cylinder("x", [0, 0], levels.hat_radius, levels.face, levels.flange, corners: 24, hole: inside),
                Forms.cylinder("x", [0, 0], levels.hat_radius, levels.flange, levels.hat_top, corners: 24, hole: s[27])
              ]
            end

            # The friction ring; a vented one is two plates with the vanes' gap between.
            def ring(levels, inside)
              face = levels.face
              ring = ->(from, to, radius) { Forms.cylinder("x", [0, 0], radius, from, to, corners: 32, hole: inside) }
              return [ring[-face, face, levels.radius]] unless levels.sizes.vented

              gap = face * VANE_SHARE
              [ring[-face, -gap, levels.radius], ring[-gap, gap, levels.radius * 0.96], ring[gap, face, levels.radius]]
            end

            def held(levels, retention)
              s, seat = levels.method(:s), levels.hat_top
              case retention
              when "screws", "push_off"
                { "rotor_screw" => screws(levels, seat) }
              when "ring", "stud_clips"
                {
                  "rotor_ring" =>
                    Ring
                      .places(levels.sizes.counts.fetch("wheel_nut", 5), levels.bolt_circle)
                      .map { |at| clip(at, s, seat) }
                }
              when "bolts"
                places = Ring.places(levels.sizes.counts.fetch("rotor_bolt", 5), levels.bolt_circle + s[9], turned: 126)
                { "rotor_bolt" => Ring.bolts(places, s[6], s[3.5], seat, s[16]) }
              when "hub_ring"
                { "rotor_ring" => [Forms.cylinder("x", [0, 0], s[31], seat, seat + s[4], hole: s[27])] }
              else
                {}
              end
            end

            def clip(at, scaled, seat)
              Forms.cylinder("x", at, scaled[9], seat, seat + scaled[4], corners: 12, hole: scaled[5.5])
            end

            # Between the studs.
            def screws(levels, seat)
              s, counts = levels.method(:s), levels.sizes.counts
              nuts = counts.fetch("wheel_nut", 5)
              count = counts.fetch("rotor_screw", 1)
              places =
                Array.new(count) do |at|
                  Forms.on(levels.bolt_circle, 90 + (360.0 / nuts * ((at * nuts / count) + 0.5)))
                end
              places.flat_map do |at|
                [
                  Forms.cylinder("x", at, s[6], seat, seat + s[3], corners: 12),
                  Forms.cylinder("x", at, s[3], seat - s[14], seat, corners: 6)
                ]
              end
            end
          end
        end
      end
    end
  end
end
