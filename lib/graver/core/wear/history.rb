# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # All sets of an axle's pads (or rotors).
      #
      # - sets: oldest first, each { component id => Fitting }
      # - limit_mm: thickness at which a component is worn out
      # - as_of_km: where the forecast starts
      # - said: [Hearsay] about the current set
      # - axle: the axle's name, or nil
      # - kin: [WearRate] of the vehicle's other axles
      # - movements: [[km, [component], how]] of corners whose pins and piston were tried (Movement)
      # - freed: [[km, [component]]] where pins or pistons were freed: the rate before says less about the rate after
      History =
        Value.define(:sets, :limit_mm, :as_of_km, :freed, :movements, :said, :axle, :kin) do
          def initialize(said: [], movements: [], axle: nil, kin: [], **rest) = super
        end
    end
  end
end
