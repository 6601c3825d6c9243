# frozen_string_literal: true

module Graver
  module Service
    module Household
      # A vehicle as two windows may change it.
      class VersionedVehicle < Base::VersionedRecord
        LABELS = {
          name: "changed.name",
          drive: "changed.drive",
          distance_unit: "changed.distance_unit",
          make: "changed.make",
          model: "changed.model",
          year: "changed.year",
          plate: "changed.plate",
          vin: "changed.vin",
          archived: "changed.archived"
        }.freeze

        def initialize(context, id)
          super(-> { context.store.vehicles.find(id) })
        end
      end
    end
  end
end
