# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # An inspected item, at a wheel or of the vehicle (knowledge/conditions.yml). place: "corner", "faces", "shoes" or
      # nil; on_face: its name at one face, where "inner" doesn't go before the label; brakes: "disc" or "drum", or nil
      ConditionItem =
        Entry.define(
          :id,
          :label,
          :marks,
          place: nil,
          on_face: nil,
          brakes: nil,
          calipers: nil,
          sensors: nil,
          parking_brakes: nil,
          vehicles: nil
        ) do
          const_set :FACES, Measurement::Positions::PADS.transform_keys("disc" => "faces", "drum" => "shoes").freeze

          # The same with the marks a kind of vehicle can have, or nil where it hasn't any such thing.
          def on(kind)
            return unless vehicles.nil? || vehicles.include?(kind)

            with(marks: marks.select { |mark| mark.vehicles.nil? || mark.vehicles.include?(kind) })
          end

          # -> Mark with that id, or nil
          def mark(id) = marks.find { |mark| mark.id == id }
          # What of it is looked at at a corner, each on its own -> ["inner", "outer"], or [nil]: the whole
          def faces = self.class::FACES.fetch(place, [nil])
          # Whether it is looked at on both faces of a rotor, or at both shoes.
          def faces? = self.class::FACES.key?(place)

          # "left inner pad", "left rotor, inner face"; side and face may be nil.
          def named(side, face)
            thing = face && on_face ? on_face.sub("{face}", face) : [face, label.downcase].compact.join(" ")
            [side, thing].compact.join(" ")
          end
        end
    end
  end
end
