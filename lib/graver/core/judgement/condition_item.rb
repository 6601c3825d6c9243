# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # An inspected item, at a wheel or of the vehicle (knowledge/conditions.yml). place: "side", "faces" or nil;
      # on_face: its name at one face, where "inner" doesn't go before the label
      ConditionItem =
        Entry.define(:id, :label, :marks, place: nil, on_face: nil, calipers: nil, sensors: nil, parking_brakes: nil) do
          # -> Mark with that id, or nil
          def mark(id) = marks.find { |mark| mark.id == id }
          # Whether it is looked at on both faces of a rotor.
          def faces? = place == "faces"

          # "left inner pad", "left rotor, inner face"; side and face may be nil.
          def named(side, face)
            thing = face && on_face ? on_face.sub("{face}", face) : [face, label.downcase].compact.join(" ")
            [side, thing].compact.join(" ")
          end
        end
    end
  end
end
