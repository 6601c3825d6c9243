# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A torque wrench as its owner has it: range and graduation in its own unit; length_mm from the drive to the
      # middle of the grip, or nil; calibrated_on: Date or nil.
      Wrench = Value.define(:id, :name, :unit, :least, :most, :graduation, :length_mm, :calibrated_on)
    end
  end
end
