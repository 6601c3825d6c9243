# frozen_string_literal: true

require "zlib"

module Graver
  module Devices
    module Simulated
      # A made-up world for simulated devices: each vehicle's true odometer, fluid and parts. It follows from a seed and
      # a scenario file, and never reads a log or a forecast.
      class World
        NEW_MM = { "pad" => 9.0..13.0, "rotor" => 18.0..28.0, "shoe" => 3.5..5.0, "drum" => 180.0..280.0 }.freeze
        # Shares of a part that may be gone; a drum wears wider.
        WORN = { "pad" => 0.1..0.8, "rotor" => 0.01..0.08, "shoe" => 0.1..0.5, "drum" => -0.006..-0.001 }.freeze
        # Shoes of a drum brake, which are read as pads.
        SHOES = %w[leading trailing].freeze
        ODOMETER_KM = 20_000..180_000
        LEVEL = 0.3..0.9

        # written: { vehicle name => { "odometer_km", "fluid_level", "front" => { "left_inner" => mm, "left" => mm,
        # ... } } }, all optional
        def initialize(seed:, written: {})
          @seed = seed
          @written = written
        end

        def odometer_km(vehicle) = told(vehicle, "odometer_km") || draw(ODOMETER_KM, vehicle, "odometer")
        def fluid_level(vehicle) = told(vehicle, "fluid_level") || draw(LEVEL, vehicle, "level")

        # part: "pad", "rotor", "shoe" or "drum"; pad: "inner", "outer", "leading", "trailing" or nil -> mm
        def length_mm(vehicle, axle, part, side, pad)
          place = [side, pad].compact.join("_")
          written = part == "shoe" ? nil : told(vehicle, axle, place)
          return written if written
          part = "shoe" if SHOES.include?(pad)
          return 0.0 unless NEW_MM.key?(part)

          draw(NEW_MM.fetch(part), vehicle, axle, part) * (1 - draw(WORN.fetch(part), vehicle, axle, part, place))
        end

        private

        def told(*path) = @written.dig(*path.map(&:to_s))&.to_f
        def draw(range, *about) = Random.new(@seed ^ Zlib.crc32(about.join("|"))).rand(range.begin.to_f..range.end.to_f)
      end
    end
  end
end
