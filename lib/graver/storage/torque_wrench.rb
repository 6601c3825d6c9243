# frozen_string_literal: true

module Graver
  module Storage
    # Numbers as entered, in `unit`; calibrated_on: Date or nil.
    TorqueWrench =
      Core::Value.define(:id, :name, :unit, :least, :most, :graduation, :length_mm, :calibrated_on, :retired)
  end
end
