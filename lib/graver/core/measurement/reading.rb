# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Measurement
      # One thing read from one part, as entered.
      #
      # part     "pad" or "rotor"
      # method   "micrometer", "caliper", "rule", "gauge", "visual" or "percent"
      # value    EnteredNumber; for a gauge the largest leaf that goes in
      # upper    EnteredNumber or nil; for a gauge the smallest leaf that does not
      # unit     a LENGTH unit or "percent"
      # overall  true when the backing plate is included
      Reading = Value.define(:part, :method, :value, :upper, :unit, :overall)
    end
  end
end
