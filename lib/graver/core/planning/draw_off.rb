# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What is drawn off the reservoir before pistons go home, so that it does not overflow.
      module DrawOff
        # As a syringe is read.
        STEP_ML = 5

        module_function

        # pushed, headroom: ml, nil where not known; share: of the room that may be counted on -> ml, rounded up to a
        # step; nil where it cannot be said
        def call(pushed, headroom, share)
          return unless pushed && headroom

          ([pushed - (headroom * share), 0.0].max / STEP_ML).ceil * STEP_ML
        end
      end
    end
  end
end
