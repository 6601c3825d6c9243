# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Logged inspections with their corrections.
      class Inspections
        # photos: [Storage::Photo]
        Logged = Core::Value.define(:inspection, :vehicle, :photos)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> Logged. Raises NotFound.
        def find(id)
          inspection = @store.inspections.find(id)
          Logged.new(
            inspection:,
            vehicle: @store.vehicles.find(inspection.vehicle_id),
            photos: Photos.new(@context).of_inspection(inspection)
          )
        end
      end
    end
  end
end
