# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Notes that the brake fluid was renewed, with day and odometer like any service.
      class RecordFluidRenewal
        def initialize(context)
          @context = context
        end

        # given: { date:, odometer: { value:, unit: } }. Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          vehicle = @context.store.vehicles.find(vehicle_id)
          stamp =
            Measuring::ServiceDate.new(
              @context,
              vehicle,
              @context.store.look_overs.of_vehicle(vehicle_id),
              given
            ).settled
          @context.store.transaction do
            @context.store.look_overs.add(
              vehicle_id:,
              date: stamp.date,
              odometer: stamp.odometer,
              note: nil,
              at: @context.now,
              readings: [{ event: "renewed", part: "fluid" }]
            )
          end
        end
      end
    end
  end
end
