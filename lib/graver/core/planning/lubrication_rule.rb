# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What goes where, and what never (knowledge/rules/lubrication.yml). use: nil where an approach says it; owner:
      # the brake data of its fasteners that overrule it
      LubricationRule =
        Entry.define(
          :place,
          :never,
          use: nil,
          approach: nil,
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
