# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # One line of a rule table: matches when the measure is at least (or at most) the threshold. topic: "pads" or
      # "rotors", or nil if it is about the whole brake.
      Rule =
        Value.define(:id, :topic, :severity, :measure, :at_least, :at_most, :sentence, :source) do
          # measures: { name => number }; an unknown one never holds
          def holds?(measures)
            value = measures[measure]
            return false if value.nil?

            (at_least.nil? || value >= at_least) && (at_most.nil? || value <= at_most)
          end
        end
    end
  end
end
