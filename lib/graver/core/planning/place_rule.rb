# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What goes where, and what never (knowledge/rules/places.yml). owner: the brake data of its fasteners that
      # overrule it
      PlaceRule =
        Entry.define(
          :place,
          :use,
          :never,
          work: nil,
          calipers: nil,
          retentions: nil,
          vehicles: nil,
          fasteners: [],
          owner: nil
        ) do
          def conditions
            { "work" => work, "calipers" => calipers, "retentions" => retentions, "vehicles" => vehicles }.compact
          end
        end
    end
  end
end
