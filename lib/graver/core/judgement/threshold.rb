# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # One thing that must hold: the measure is at least, or at most, so much. A measure that is not known never holds.
      Threshold =
        Value.define(:measure, :at_least, :at_most) do
          def holds?(measures)
            value = measures[measure]
            !value.nil? && (at_least.nil? || value >= at_least) && (at_most.nil? || value <= at_most)
          end
        end
    end
  end
end
