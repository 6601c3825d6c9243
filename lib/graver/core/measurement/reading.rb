# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # One thing read from one part, as entered.
      #
      # part        "pad", "rotor" or "shoe" method      "micrometer", "caliper", "vernier", "rule", "gauge", "visual"
      # or "percent" value       EnteredNumber; for a gauge the largest leaf that goes in upper       EnteredNumber or
      # nil; for a gauge the smallest leaf that does not unit        a LENGTH unit, "percent" or "share" (a fraction of
      # new) overall     true when the backing plate is included instrument  Instrument or nil
      Reading =
        Value.define(:part, :method, :value, :upper, :unit, :overall, :instrument) do
          def initialize(instrument: nil, **rest) = super
        end
    end
  end
end
