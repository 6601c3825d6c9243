# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Fluid displaced into the reservoir when an axle's pistons are pushed back for new pads.
      module DisplacedFluid
        module_function

        # On a floating caliper the pistons of a corner travel by what both pads gain; on a fixed one the pistons of
        # each side by what their own pad gains. Volume = area x travel, summed over pistons and corners.
        #
        # gains: [[inner_mm, outer_mm], ...] per corner; pistons counted per caliper -> millilitres.
        def call(gains:, piston_diameter_mm:, pistons:, opposed:)
          area_mm2 = Math::PI * (piston_diameter_mm**2) / 4.0
          gains.sum do |inner, outer|
            travel = opposed ? (inner + outer) / 2.0 : inner + outer
            area_mm2 * travel * pistons / 1000.0
          end
        end
      end
    end
  end
end
