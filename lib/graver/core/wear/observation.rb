# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # One thickness seen on one component at an odometer distance. `trust` is 1.0 for an ordinary reading and
      # smaller for one the owner kept with a doubt on it; `affirmed`: questioned, measured again and found right. `ref`
      # is handed back when the reading is doubted.
      Observation =
        Value.define(:distance_km, :thickness, :trust, :affirmed, :ref) do
          def initialize(affirmed: false, **rest) = super
        end
    end
  end
end
