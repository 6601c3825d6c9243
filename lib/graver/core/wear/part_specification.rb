# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Wear
      # What is known of an axle's pads or rotors; lengths in mm, nil where unknown.
      # components: ids of the positions, e.g. ["left_inner", "left_outer", "right_inner", "right_outer"].
      PartSpecification = Value.define(:part, :components, :new_mm, :limit_mm, :backing_mm, :backing_uncertainty_mm)
    end
  end
end
