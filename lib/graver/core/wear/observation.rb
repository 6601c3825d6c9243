# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Wear
      # One thickness seen on one component at an odometer distance. `trust` is 1.0 for an ordinary reading and
      # smaller for one the owner kept with a doubt on it. `ref` is handed back when the reading is doubted.
      Observation = Value.define(:distance_km, :thickness, :trust, :ref)

      # What happened to one component (one pad position or one rotor) since one set went on.
      # fitted_km    odometer at fitting, or nil when not known
      # new          Thickness when fitted (a guess has a large uncertainty)
      # observations in order of distance
      Fitting = Value.define(:fitted_km, :new, :observations)

      # All sets of the axle's pads (or rotors), oldest first: each { component id => Fitting }.
      # limit_mm     thickness at which a component is done
      # as_of_km     where the forecast starts
      # freed        [[km, [component]]] where pins or pistons were made free: the rate before says less about the rate after
      History = Value.define(:sets, :limit_mm, :as_of_km, :freed)
    end
  end
end
