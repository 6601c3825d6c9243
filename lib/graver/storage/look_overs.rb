# frozen_string_literal: true

require "date"
require_relative "records"

module Graver
  module Storage
    # Dated services with their readings, as entered.
    class LookOvers
      def initialize(database)
        @database = database
      end

      # readings: [{ axle_id:, event:, part:, ... }] -> id
      def add(vehicle_id:, date:, odometer:, note:, readings:, at:)
        id = @database[:look_overs].insert(vehicle_id:, date: date.iso8601, odometer_value: odometer[:value], odometer_unit: odometer[:unit],
                                           odometer_km: odometer[:km], note:, recorded_at: at)
        @database[:readings].multi_insert(readings.map { |reading| ROW.merge(reading, look_over_id: id) })
        id
      end

      # Oldest first.
      def of_vehicle(vehicle_id) = of_vehicles([vehicle_id]).fetch(vehicle_id, [])

      # { vehicle id => [LookOver] }, two queries however many vehicles.
      def of_vehicles(vehicle_ids)
        rows = @database[:look_overs].where(vehicle_id: vehicle_ids).order(:date, :odometer_km, :id).all
        readings = @database[:readings].where(look_over_id: rows.map { |row| row[:id] }).order(:id).all.group_by { |row| row[:look_over_id] }
        rows.map { |row| record(row, readings.fetch(row[:id], [])) }.group_by(&:vehicle_id)
      end

      private

      ROW = { axle_id: nil, event: "reading", part: nil, side: nil, pad: nil, place: 1, method: nil, value: nil, upper: nil,
              unit: nil, overall: false, doubt: nil }.freeze
      private_constant :ROW

      def record(row, readings)
        fields = row.slice(:id, :vehicle_id, :odometer_value, :odometer_unit, :odometer_km, :note)
        rows = readings.map { |reading| ReadingRow.new(**reading.slice(*ReadingRow.members)) }
        LookOver.new(**fields, date: Date.iso8601(row[:date]), readings: rows)
      end
    end
  end
end
