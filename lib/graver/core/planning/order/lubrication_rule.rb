# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What to lubricate, and what never to (knowledge/rules/lubrication.yml). use: nil if an approach decides; owner:
      # brake data of its fasteners that override it
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
