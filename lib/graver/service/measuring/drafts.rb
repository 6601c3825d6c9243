# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Half-entered inspections, one a vehicle, kept as the screen wrote them.
      class Drafts
        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> Storage::Draft or nil. Raises NotFound.
        def find(vehicle_id) = @store.drafts.find(vehicle(vehicle_id))

        # revision: the one this was made from, 0 for a new draft -> Storage::Draft. Raises NotFound, Conflict.
        def save(vehicle_id, content, revision)
          vehicle(vehicle_id)
          @store.transaction { @store.drafts.save(vehicle_id, content, revision:, at: @context.now) }
        end

        # Into the bin -> its id there, or nil when there is none. Raises NotFound.
        def bin(vehicle_id)
          vehicle(vehicle_id)
          @store.transaction { @store.drafts.bin(vehicle_id, at: @context.now) }
        end

        private

        def vehicle(id) = @store.vehicles.find(id).id
      end
    end
  end
end
