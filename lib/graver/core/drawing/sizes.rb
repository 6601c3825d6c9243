# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # The sizes a corner is drawn with, in mm: those on file, else usual ones of its kind (common practice, no source;
      # for the drawing alone, never for a verdict).
      Sizes =
        Value.define(:radius, :thickness, :vented, :inner, :outer, :new_friction, :plate, :piston, :pistons, :counts) do
          const_set :ROTOR, { nil => [140, 22], "motorcycle" => [145, 5] }.freeze
          const_set :DRUM, { nil => 115, "trailer" => 120 }.freeze
          const_set :FRICTION, { nil => 11, "motorcycle" => 4.5, "drum" => 5 }.freeze
          const_set :PLATE, { nil => 5, "motorcycle" => 4, "drum" => 3 }.freeze
          const_set :PISTON, { nil => 27, "motorcycle" => 15, "drum" => 10 }.freeze
          # Of a rotor of this radius the usual figures below hold.
          const_set :USUAL_RADIUS, 140.0
          # A rotor no thinner and a drum no smaller than this is drawn, whatever was read.
          const_set :THINNEST, 2.0

          # known: { diameter_mm:, thickness_mm:, vented:, inner_mm:, outer_mm:, new_mm:, plate_mm:, piston_mm:,
          # pistons:, counts: { "wheel_nut" => 5 } }, nil or left out where it is not known. Of a drum, inner and outer
          # are the leading and the trailing lining.
          def self.from(known, configuration)
            known = known.compact
            kind = configuration["brakes"] == "drum" ? "drum" : configuration["vehicles"]
            usual = ->(table) { table.fetch(kind) { table[nil] } }
            friction = known.fetch(:new_mm) { usual[self::FRICTION] }
            new(
              radius: known[:diameter_mm]&./(2.0) || usual_radius(kind, configuration),
              thickness: [
                known.fetch(:thickness_mm) { kind == "drum" ? 0 : usual[self::ROTOR].last },
                self::THINNEST
              ].max,
              vented: known.fetch(:vented, true),
              inner: known.fetch(:inner_mm, friction),
              outer: known.fetch(:outer_mm, friction),
              new_friction: friction,
              plate: known.fetch(:plate_mm) { usual[self::PLATE] },
              piston: known[:piston_mm]&./(2.0) || usual[self::PISTON],
              pistons: known[:pistons],
              counts: known.fetch(:counts, {})
            )
          end

          def self.usual_radius(kind, configuration)
            return self::ROTOR.fetch(kind) { self::ROTOR[nil] }.first unless kind == "drum"

            self::DRUM.fetch(configuration["vehicles"]) { self::DRUM[nil] }
          end
          private_class_method :usual_radius

          # A length that grows with the rotor, from that of a usual one.
          def scaled(length) = length * radius / self.class::USUAL_RADIUS
        end
    end
  end
end
