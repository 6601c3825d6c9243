# frozen_string_literal: true

module Graver
  module Service
    module Household
      # The odometer on a day, without any look at the brakes: a fill-up, a trip's end. It says how much is driven.
      class RecordOdometer
        def initialize(context)
          @context = context
        end

        # given: { date:, odometer: { value:, unit:, keep: } }. Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          vehicle = @context.store.vehicles.find(vehicle_id)
          stamp =
            Measuring::ServiceDate.new(
              @context,
              vehicle,
              @context.store.look_overs.of_vehicle(vehicle_id),
              given
            ).settled(asking: true)
          @context.store.transaction do
            @context.store.look_overs.add(
              vehicle_id:,
              date: stamp.date,
              odometer: stamp.odometer,
              note: nil,
              at: @context.now,
              readings: []
            )
          end
        end
      end
    end
  end
end
