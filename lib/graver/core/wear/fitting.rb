# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # The history of one component (one pad position or one rotor) since its set was fitted.
      #
      # - fitted_km: odometer at fitting, or nil if unknown
      # - new: Thickness when fitted (a guess has a large uncertainty)
      # - observations: in order of distance
      # - choices: the equally likely thicknesses it can have had when new, mm, if none was recorded; else nil
      # - measured: true if the new thickness was measured or given, so that fitting counts as a reading
      Fitting =
        Value.define(:fitted_km, :new, :observations, :choices, :measured) do
          def initialize(choices: nil, measured: false, **rest) = super
        end
    end
  end
end
