# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What is known about an axle's pads or rotors; lengths in mm, nil if unknown. components: ids of the positions,
      # e.g. ["left_inner", "left_outer", "right_inner", "right_outer"]. axle: its name, or nil. limit_overall: the
      # limit includes the backing plate. kind: of vehicle, or nil: a car.
      PartSpecification =
        Value.define(
          :part,
          :components,
          :new_mm,
          :limit_mm,
          :backing_mm,
          :backing_uncertainty_mm,
          :limit_overall,
          :axle,
          :kind
        ) { def initialize(limit_overall: false, axle: nil, kind: nil, **rest) = super }
    end
  end
end
