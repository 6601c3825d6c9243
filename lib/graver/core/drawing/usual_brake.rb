# frozen_string_literal: true

module Graver
  module Core
    module Drawing
      # A usual brake of a kind, for what is about no vehicle's own.
      module UsualBrake
        DISC = {
          "brakes" => "disc",
          "parking_brakes" => "none",
          "retentions" => "screws",
          "springs" => "none",
          "hose_fittings" => "banjo",
          "brackets" => "separate",
          "hose_holders" => "clip",
          "wheels_by" => "nuts",
          "sensors" => true
        }.freeze
        DRUM = {
          "brakes" => "drum",
          "parking_brakes" => "shoes",
          "drum_retentions" => "nothing",
          "adjusters" => "star",
          "wheels_by" => "nuts"
        }.freeze
        TRAILER = { "parking_brakes" => "none", "drum_retentions" => "hub", "drum_bearings" => "staked" }.freeze

        module_function

        # caliper: Planning::Caliper -> configuration as in Conditions.met?
        def call(caliper)
          vehicle = caliper.vehicles.first
          kind = caliper.id.start_with?("drum") ? DRUM : DISC
          kind = { **kind, **TRAILER } if vehicle == "trailer"
          kind = { **kind, "retentions" => "bolts", "sensors" => false } if vehicle == "motorcycle"
          { **kind, "calipers" => caliper.id, "vehicles" => vehicle }
        end

        # kinds: [PartKind] -> [Corner::DrawnPart]
        def parts(kinds, caliper)
          configuration = call(caliper)
          Corner.call(kinds, configuration, Sizes.from({}, configuration))
        end
      end
    end
  end
end
