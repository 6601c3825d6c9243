# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # One condition: the measure is at least, or at most, a value. An unknown measure never meets it.
      Threshold =
        Value.define(:measure, :at_least, :at_most) do
          # measures: { name => number }; an unknown one never holds
          def holds?(measures)
            value = measures[measure]
            !value.nil? && (at_least.nil? || value >= at_least) && (at_most.nil? || value <= at_most)
          end
        end
    end
  end
end
