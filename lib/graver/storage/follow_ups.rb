# frozen_string_literal: true

require "date"

module Graver
  module Storage
    # Follow-ups of vehicles; closed ones stay on file with their cause.
    class FollowUps
      def initialize(database)
        @table = database[:follow_ups]
      end

      # on: Date -> id
      def add(vehicle_id, row, on:, at:)
        @table.insert(vehicle_id:, noted_on: on.iso8601, recorded_at: at, **row)
      end

      # Raises NotFound.
      def find(id) = record(@table.first(id:) || raise(NotFound, Message.of("missing.follow_up")))

      # on: Date
      def close(id, because, on:) = @table.where(id:).update(closed_on: on.iso8601, closed_because: because)
      # Closed too soon.
      def reopen(id) = @table.where(id:).update(closed_on: nil, closed_because: nil)

      # { vehicle id => [FollowUp] }, oldest first, closed ones too
      def of_vehicles(vehicle_ids)
        @table.where(vehicle_id: vehicle_ids).order(:id).map { |row| record(row) }.group_by(&:vehicle_id)
      end

      private

      def record(row)
        FollowUp.new(
          **row.slice(:id, :vehicle_id, :axle_id, :side, :text, :about, :closed_because),
          look_on: row[:look_on] && Date.iso8601(row[:look_on]),
          day: Date.iso8601(row[:noted_on]),
          closed_on: row[:closed_on] && Date.iso8601(row[:closed_on])
        )
      end
    end
  end
end
