# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # All sets of the axle's pads (or rotors), oldest first: each { component id => Fitting }. limit_mm     thickness
      # at which a component is done as_of_km     where the forecast starts said         [Hearsay] of the set that is on
      # axle, kin    the axle's name, or nil; [WearRate] of the vehicle's other axles freed [[km, [component]]] where
      # pins or pistons were made free: the rate before says less about the rate after
      History =
        Value.define(:sets, :limit_mm, :as_of_km, :freed, :said, :axle, :kin) do
          def initialize(said: [], axle: nil, kin: [], **rest) = super
        end
    end
  end
end
