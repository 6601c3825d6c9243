# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What somebody said of an axle's pads without their being measured: what is left until they are due (the car's
      # own counter) or how thick the thinnest is (a shop's claim); the other one nil.
      #
      # - odometer_km: where it was said
      # - left_km: distance left; spread is then the standard deviation of its natural logarithm
      # - thickness_mm: the thinnest pad; spread is then its standard deviation, mm
      Hearsay = Value.define(:odometer_km, :left_km, :thickness_mm, :spread)
    end
  end
end
