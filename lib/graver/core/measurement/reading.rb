# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # One thing read from one part, as entered.
      #
      # - part: "pad", "rotor" or "shoe"
      # - method: "micrometer", "caliper", "vernier", "rule", "gauge", "photo", "visual" or "percent"
      # - value: EnteredNumber; for a gauge the thickest leaf that fits, for a photo the lower bound
      # - upper: EnteredNumber or nil; for a gauge the thinnest leaf that does not fit, for a photo the upper bound
      # - unit: a LENGTH unit, "percent" or "share" (a fraction of new)
      # - overall: true if the backing plate is included
      # - instrument: Instrument or nil
      Reading =
        Value.define(:part, :method, :value, :upper, :unit, :overall, :instrument) do
          def initialize(instrument: nil, **rest) = super
        end
    end
  end
end
