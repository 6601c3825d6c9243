# frozen_string_literal: true

module Graver
  module Service
    module Workshop
      # An own part, consumable or tool as two windows may change it.
      class VersionedSupply < Base::VersionedRecord
        LABELS = {
          name: "changed.name",
          number: "changed.number",
          supplier: "changed.supplier",
          price: "changed.price",
          lead_days: "changed.lead_days",
          on_shelf: "changed.on_shelf",
          compound: "changed.compound",
          thickness: "changed.thickness",
          diameter: "changed.diameter",
          unit: "changed.unit",
          retired: "changed.archived"
        }.freeze

        def initialize(context, id)
          super(-> { context.store.supplies.find(id) })
        end

        # given: the API's SupplyChange -> { field => value wanted }
        def wanted(given)
          super.transform_values { |value| value.is_a?(String) ? (value.strip unless value.strip.empty?) : value }
        end
      end
    end
  end
end
