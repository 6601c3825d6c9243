# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # One wheel's brake in three dimensions: its parts as solids, each with the way it comes off.
      module Corner
        # kind: PartKind; solids: [Solid]; count: how many there are of a fastener, or nil; known: nothing it is drawn
        # from is missing
        DrawnPart = Value.define(:kind, :solids, :count, :known)
        # Solids of one headed fastener.
        PIECES = { "bleed_screw" => 2, "rotor_screw" => 2, "rotor_hub_bolt" => 2 }.freeze

        module_function

        # kinds: [PartKind]; configuration as in Conditions.met?; sizes: Sizes; mirrored: a right-hand corner; unknown:
        # keys of brake data that are missing; seen: as in Shapes::Seen -> [DrawnPart]
        def call(kinds, configuration, sizes, mirrored: false, unknown: [], seen: [])
          shapes = shapes(configuration, sizes, seen)
          kinds
            .select { |kind| kind.here?(configuration) && shapes[kind.id]&.any? }
            .map do |kind|
              solids = shapes.fetch(kind.id)
              DrawnPart.new(
                kind:,
                solids: mirrored ? solids.map(&:mirrored) : solids,
                count: kind.fastener && sizes.counts[kind.fastener],
                known: !kind.data.intersect?(unknown)
              )
            end
        end

        # -> { part id => [Solid] }
        def shapes(configuration, sizes, seen)
          configuration["brakes"] == "drum" ? drum(configuration, sizes) : disc(configuration, sizes, seen)
        end

        # A drum brake.
        def drum(configuration, sizes)
          levels = DrumLevels.new(sizes)
          { **Shapes::Drum.call(levels, configuration), **Shapes::Wheel.call(levels, configuration) }
        end

        # A disc brake.
        def disc(configuration, sizes, seen)
          hat = configuration["parking_brakes"] == "drum_in_hat" ? 0.58 : 0.52
          levels = Levels.new(sizes, hat:)
          built = configuration["vehicles"] == "motorcycle" ? bike(levels, configuration) : whole(levels, configuration)
          { **built, "rotor" => built.fetch("rotor") + Shapes::Seen.call(levels, seen) }
        end

        # A car's disc brake with its wheel.
        def whole(levels, configuration)
          {
            **Shapes::Hub.call(levels, configuration),
            **Shapes::Rotor.call(levels, configuration),
            **Shapes::Pads.call(levels, configuration),
            **car(levels, configuration),
            **Shapes::Parking.call(levels, configuration),
            **Shapes::Wheel.call(levels, configuration)
          }
        end

        def car(levels, configuration)
          if configuration["calipers"] == "fixed_opposed"
            depth = Shapes::Fixed.inside(levels) + Shapes::Fixed.depth(levels)
            middle = Shapes::Fixed.inside(levels) + (Shapes::Fixed.depth(levels) / 2)
            return(
              {
                **Shapes::Fixed.call(levels, configuration),
                **Shapes::Hydraulics.call(levels, configuration, back: -depth, bleeders: [-middle, middle])
              }
            )
          end

          {
            **Shapes::Floating.call(levels, configuration),
            **Shapes::Hydraulics.call(
              levels,
              configuration,
              back: levels.housing_back,
              bleeders: [levels.housing_back + levels.s(14)]
            )
          }
        end

        def bike(levels, configuration)
          back = -Shapes::Fixed.inside(levels) - Shapes::Fixed.depth(levels)
          fixed = configuration["calipers"] == "motorcycle_fixed"
          {
            **Shapes::Pads.call(levels, configuration, half_width: levels.s(42)),
            **Shapes::Motorcycle.call(levels, configuration),
            **Shapes::Hydraulics.call(
              levels,
              configuration,
              back: fixed ? back : levels.inner_back - levels.s(10),
              bleeders: [fixed ? back + levels.s(14) : levels.outer_back + levels.s(18)]
            )
          }
        end
      end
    end
  end
end
