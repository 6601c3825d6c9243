# frozen_string_literal: true

module Graver
  module Service
    module Household
      # What follows from an axle having discs or drums: what is read there, under which keys its data are, and whose
      # usual values, limits and wear its own are like. What wears on a shoe is read as a pad's: part "pad", leading or
      # trailing.
      class BrakeKind
        PADS = Core::Measurement::Positions::PADS
        # The names of its parts, as texts have them (Message.part).
        PARTS = { "disc" => {}, "drum" => { "pad" => "brake_shoe", "rotor" => "drum" } }.freeze

        SERVO = %w[drum_servo drum_electric].freeze

        # The name of the part a row on file is about: a row that names no shoe says by itself only that it is a pad's.
        def self.part_of(row) = row.part == "pad" && PADS["drum"].include?(row.pad) ? "brake_shoe" : row.part

        # "disc" or "drum"
        attr_reader :brakes

        # place: as BrakeDataCatalogue#place has it; vehicle: Storage::Vehicle
        def initialize(place, vehicle)
          @place = place
          @vehicle = vehicle
          @brakes = place.fetch("brakes")
        end

        # Whether there is such a part to read; of a disc brake runout and parking shoes too.
        def reads?(part) = drum? ? %w[pad drum].include?(part) : part != "drum"

        def drum? = @brakes == "drum"
        # Whether it is worked by fluid.
        def hydraulic? = @place.fetch("hydraulics") == "fluid"
        # Whether its shoes push each other: then the trailing one, the secondary, wears more.
        def servo? = SERVO.include?(@place["calipers"])
        # Positions of what wears at each wheel -> ["inner", "outer"]
        def pads = PADS.fetch(@brakes)
        # "new_thickness" -> "pad.new_thickness", or of the lining
        def key(name) = "#{drum? ? "lining" : "pad"}.#{name}"
        # -> of Message.part
        def part_name(part) = PARTS.fetch(@brakes).fetch(part, part)
        # Whose wear is like its own (knowledge/wear/priors.yml).
        def wears_as = drum? ? drum_kind : @vehicle.wears_as

        # Whose limits hold for it (knowledge/limits.yml).
        def limited_as
          return @vehicle.kind unless drum?

          @place["linings"] == "riveted" ? "drum_riveted" : "drum"
        end

        # Whose usual new parts are like its own (knowledge/measurement.yml).
        def built_as = drum? ? drum_kind : @vehicle.kind

        private

        def drum_kind = servo? ? "drum_servo" : "drum"
      end
    end
  end
end
