# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Finds what is on file about axles, in their vehicles' snapshots.
      class AxleRecords
        def initialize(context)
          @context = context
          @snapshots = Snapshots.new(context)
        end

        # [Storage::Vehicle] -> { vehicle id => [AxleRecord] }
        def of(vehicles) = @snapshots.of(vehicles).transform_values(&:axles)

        # Of one vehicle -> [AxleRecord]. Raises NotFound.
        def of_vehicle(id) = @snapshots.find(id).axles

        # Of the vehicle with an axle -> [AxleRecord]. Raises NotFound.
        def beside(axle_id) = of_vehicle(vehicle_of(axle_id))

        # Of the whole household.
        def all = of(@context.store.vehicles.all)

        # -> Storage::Vehicle. Raises NotFound.
        def vehicle_with(axle_id) = @snapshots.vehicle_with(axle_id)

        # -> id of the vehicle. Raises NotFound.
        def vehicle_of(axle_id) = @snapshots.vehicle_of(axle_id)

        # Raises NotFound.
        def find(axle_id) = beside(axle_id).find { |record| record.axle.id == axle_id }
      end
    end
  end
end
