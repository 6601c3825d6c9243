# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Fetches axle files, in the same few queries for one vehicle or the whole household.
      class AxleRecords
        def initialize(context)
          @context = context
        end

        # [Storage::Vehicle] -> { vehicle id => [AxleRecord] }
        def of(vehicles) = @context.once([:axle_records, vehicles.map(&:id)]) { fetch(vehicles) }

        # Of the whole household.
        def all = of(@context.store.vehicles.all)

        # -> id of the vehicle. Raises NotFound.
        def vehicle_of(axle_id) = @context.store.vehicles.find_axle(axle_id).vehicle_id

        # Raises NotFound.
        def find(axle_id)
          vehicle = @context.store.vehicles.find(vehicle_of(axle_id))
          of([vehicle]).fetch(vehicle.id).find { |file| file.axle.id == axle_id }
        end

        private

        def fetch(vehicles)
          inspections = @context.store.inspections.of_vehicles(vehicles.map(&:id))
          data = @context.store.brake_data.current_of(vehicles.flat_map { |vehicle| vehicle.axles.map(&:id) })
          @sources = @context.store.brake_data.by_source_of(vehicles.flat_map { |vehicle| vehicle.axles.map(&:id) })
          planned = PlannedEvents.new(@context).of(vehicles)
          approaches = Approaches.new(@context)
          @shared =
            AxleRecord::Shared.new(
              knowledge: @context.knowledge,
              instruments: Instruments.new(@context).as_read,
              limit: approaches.pad_limit,
              floor: approaches.floor
            )
          vehicles.to_h do |vehicle|
            [vehicle.id, files(vehicle, data, inspections.fetch(vehicle.id, []), planned.fetch(vehicle.id))]
          end
        end

        # Values of the whole vehicle are kept with its first axle.
        def files(vehicle, data, inspections, planned)
          shared =
            data.fetch(vehicle.axles.first.id, {}).select { |key, _| @context.knowledge.brake_data.vehicle_wide?(key) }
          records =
            vehicle.axles.map do |axle|
              record(vehicle, axle, data.fetch(axle.id, {}).merge(shared), inspections, planned)
            end
          records.each { |record| record.siblings = records - [record] }
        end

        def record(vehicle, axle, data, inspections, planned)
          AxleRecord.new(
            vehicle:,
            axle:,
            data:,
            inspections:,
            planned:,
            shared: @shared,
            sources: @sources.fetch(axle.id, {})
          )
        end
      end
    end
  end
end
