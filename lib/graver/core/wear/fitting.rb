# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What happened to one component (one pad position or one rotor) since one set went on. fitted_km    odometer at
      # fitting, or nil when not known new          Thickness when fitted (a guess has a large uncertainty) observations
      # in order of distance choices      where nobody wrote it down: the thicknesses it can have been, mm, each as
      # likely; nil else measured     was its new thickness measured or given, so that going on counts as a reading?
      Fitting =
        Value.define(:fitted_km, :new, :observations, :choices, :measured) do
          def initialize(choices: nil, measured: false, **rest) = super
        end
    end
  end
end
