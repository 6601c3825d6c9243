# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A consumable (knowledge/consumables.yml). one: its unit in the singular; countable: bought by the piece;
      # per_threadlocker: one portion for each fastener whose thread takes it
      Consumable =
        Entry.define(
          :id,
          :label,
          :unit,
          :note,
          :source,
          one: nil,
          countable: false,
          per_job: 0,
          per_axle: 0,
          per_corner: 0,
          per_threadlocker: false
        )
    end
  end
end
