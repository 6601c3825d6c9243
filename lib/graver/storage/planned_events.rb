# frozen_string_literal: true

require "date"

module Graver
  module Storage
    # Planned trips, changes of driving and inspections, as entered. Removed ones stay on file.
    class PlannedEvents
      def initialize(database)
        @table = database[:planned_events]
      end

      # -> id
      def add(vehicle_id, row, at:) = @table.insert(vehicle_id:, recorded_at: at, **row)

      # Raises NotFound.
      def remove(id, at:)
        @table.where(id:, removed_at: nil).update(removed_at: at) == 1 or raise NotFound, Message.of("missing.planned")
        @table.first(id:)[:vehicle_id]
      end

      # -> PlannedEvent. Raises NotFound.
      def find(id)
        record(@table.first(id:, removed_at: nil) || (raise NotFound, Message.of("missing.planned")))
      end

      # -> vehicle id
      def move(id, from_on:, to_on:)
        @table.where(id:).update(from_on:, to_on:)
        @table.first(id:)[:vehicle_id]
      end

      # Takes the newest removal of a vehicle back.
      def restore(id)
        @table.where(id:).exclude(removed_at: nil).update(removed_at: nil) == 1 or
          raise NotFound, Message.of("missing.removed")
        @table.first(id:)[:vehicle_id]
      end

      # { vehicle id => [PlannedEvent] } by day
      def of_vehicles(vehicle_ids)
        @table
          .where(vehicle_id: vehicle_ids, removed_at: nil)
          .order(:from_on, :id)
          .map { |row| record(row) }
          .group_by(&:vehicle_id)
      end

      private

      def record(row)
        PlannedEvent.new(
          **row.slice(:id, :vehicle_id, :kind, :name, :distance, :unit, :wear_factor),
          from_on: Date.iso8601(row[:from_on]),
          to_on: row[:to_on] && Date.iso8601(row[:to_on])
        )
      end
    end
  end
end
