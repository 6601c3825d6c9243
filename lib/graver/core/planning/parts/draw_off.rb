# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Fluid to draw off the reservoir before the pistons are pushed back, so that it does not overflow.
      module DrawOff
        # The graduation of a syringe.
        STEP_ML = 5

        module_function

        # pushed, headroom: ml, nil if unknown; share: of the headroom that may be used -> ml, rounded up to a step; nil
        # if unknown
        def call(pushed, headroom, share)
          return unless pushed && headroom

          ([pushed - (headroom * share), 0.0].max / STEP_ML).ceil * STEP_ML
        end
      end
    end
  end
end
