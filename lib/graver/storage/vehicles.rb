# frozen_string_literal: true

module Graver
  module Storage
    # Vehicles and their axles.
    class Vehicles
      # What an owner may note of a vehicle.
      NOTES = %i[make model year plate vin].freeze

      def initialize(database)
        @database = database
      end

      # axles: [{ name:, sides: [] }] -> Vehicle
      def add(name:, kind:, distance_unit:, axles:, at:, drive: "combustion", sample: false)
        id = @database[:vehicles].insert(name:, kind:, drive:, distance_unit:, sample:, recorded_at: at)
        axles.each { |axle| @database[:axles].insert(vehicle_id: id, name: axle[:name], sides: axle[:sides].join(",")) }
        find(id)
      end

      # Vehicles that are not archived (or those that are), in the order they were added.
      def all(archived: false)
        axles = @database[:axles].order(:id).map { |row| axle_record(row) }.group_by(&:vehicle_id)
        (archived ? @database[:vehicles].exclude(archived_at: nil) : @database[:vehicles].where(archived_at: nil))
          .order(:id)
          .map { |row| record(row, axles.fetch(row[:id], [])) }
      end

      # Raises NotFound.
      def find(id)
        row = @database[:vehicles].first(id:) or raise NotFound, Message.of("missing.vehicle")
        record(row, @database[:axles].where(vehicle_id: id).order(:id).map { |axle| axle_record(axle) })
      end

      def find_axle(id)
        row = @database[:axles].first(id:) or raise NotFound, Message.of("missing.axle")
        axle_record(row)
      end

      # changes: any of name, drive, distance_unit, archived_at, and NOTES.
      def change(id, changes)
        @database[:vehicles].where(id:).update(changes) unless changes.empty?
        find(id)
      end

      private

      def record(row, axles)
        Vehicle.new(
          **row.slice(:id, :name, :kind, :drive, :distance_unit, *NOTES),
          archived: !row[:archived_at].nil?,
          sample: row[:sample],
          axles:
        )
      end

      def axle_record(row) = Axle.new(**row.slice(:id, :vehicle_id, :name), sides: row[:sides].split(","))
    end
  end
end
