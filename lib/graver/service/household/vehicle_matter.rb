# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A vehicle as two windows may change it.
      class VehicleMatter < Base::Matter
        LABELS = { name: "changed.name", distance_unit: "changed.distance_unit", archived: "changed.archived" }.freeze

        # Storage::Vehicle -> { name => value }
        def self.fields(vehicle) = vehicle.to_h.slice(*LABELS.keys)

        def initialize(context, id)
          super(-> { self.class.fields(context.store.vehicles.find(id)) }, ->(name) { Texts.say(LABELS.fetch(name)) })
        end
      end
    end
  end
end
