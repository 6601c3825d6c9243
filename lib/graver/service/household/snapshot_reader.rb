# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Reads vehicles' records into snapshots.
      class SnapshotReader
        def initialize(context)
          @context = context
          @store = context.store
          @knowledge = context.knowledge
        end

        # [Storage::Vehicle] -> { vehicle id => Snapshot }
        def call(vehicles)
          ids = vehicles.map(&:id)
          axle_ids = vehicles.flat_map { |vehicle| vehicle.axles.map(&:id) }
          @inspections = @store.inspections.of_vehicles(ids)
          @data = @store.brake_data.known_of(axle_ids)
          @planned = PlannedEvents.new(@context).of(vehicles)
          @follow_ups = FollowUps.new(@context).of(vehicles)
          @shared = shared
          vehicles.to_h { |vehicle| [vehicle.id, snapshot(vehicle)] }
        end

        private

        def shared
          approaches = Approaches.new(@context)
          AxleRecord::Shared.new(
            knowledge: @knowledge,
            instruments: Instruments.new(@context).as_read,
            limit: approaches.pad_limit,
            floor: approaches.floor
          )
        end

        def snapshot(vehicle)
          inspections, ahead = @inspections.fetch(vehicle.id, []).partition { |each| each.date <= @context.today }
          axles = axles(vehicle, inspections)
          follow_ups = @follow_ups.fetch(vehicle.id)
          Snapshot.new(vehicle:, axles:, inspections:, ahead:, follow_ups:, read_on: @context.today)
        end

        # Values of the whole vehicle are kept with its first axle.
        def axles(vehicle, inspections)
          whole =
            @data.fetch(vehicle.axles.first.id).current.select { |key, _| @knowledge.brake_data.vehicle_wide?(key) }
          records = vehicle.axles.map { |axle| record(vehicle, axle, inspections, whole) }
          records.each { |record| record.siblings = records - [record] }
        end

        def record(vehicle, axle, inspections, whole)
          AxleRecord.new(
            vehicle:,
            axle:,
            data: @data.fetch(axle.id).current.merge(whole),
            inspections:,
            planned: @planned.fetch(vehicle.id),
            shared: @shared,
            sources: @data.fetch(axle.id).by_source
          )
        end
      end
    end
  end
end
