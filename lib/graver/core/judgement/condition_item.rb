# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A thing to look at, at a wheel or about the vehicle (knowledge/conditions.yml). place: "side", "faces" or nil
      ConditionItem =
        Entry.define(:id, :label, :marks, place: nil, calipers: nil, sensors: nil, parking_brakes: nil) do
          def mark(id) = marks.find { |mark| mark.id == id }
          def faces? = place == "faces"
        end
    end
  end
end
