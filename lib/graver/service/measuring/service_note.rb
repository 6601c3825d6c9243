# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Logs a service without a brake inspection: its day, its odometer, and what was renewed.
      class ServiceNote
        def initialize(context)
          @context = context
        end

        # given: { date:, odometer: { value:, unit:, keep: } }; asking: whether a doubtful odometer is asked about.
        # Raises InvalidEntry, NotFound.
        def call(vehicle_id, given, readings: [], asking: false)
          store = @context.store
          store.transaction do
            vehicle = store.vehicles.find(vehicle_id)
            services = store.inspections.of_vehicle(vehicle_id)
            stamp = ServiceDate.new(@context, vehicle, services, given).settled(asking:)
            store.inspections.add(
              vehicle_id:,
              date: stamp.date,
              odometer: stamp.odometer,
              note: nil,
              at: @context.now,
              done_by: @context.person,
              readings:
            )
          end
        end
      end
    end
  end
end
