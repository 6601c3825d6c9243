# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # What is read at a wheel, by its brake: two pads and a rotor, or two shoes and a drum. What wears on a shoe is
      # read as a pad's: part "pad", leading or trailing.
      module Positions
        PADS = { "disc" => %w[inner outer], "drum" => %w[leading trailing] }.freeze
        TURNING = { "disc" => "rotor", "drum" => "drum" }.freeze

        # Whether a log may have such a row; brakes: "disc" or "drum"; pad: nil where a row names none
        def self.log?(brakes, part, pad = nil)
          return part == TURNING.fetch(brakes) unless part == "pad"

          pad.nil? || PADS.fetch(brakes).include?(pad)
        end
      end
    end
  end
end
