# frozen_string_literal: true

require_relative "records"

module Graver
  module Storage
    # What is known of axles; each change is a new row, the newest counts.
    class BrakeData
      def initialize(database)
        @database = database
      end

      # { key => BrakeDatum } as known now
      def current(axle_id) = current_of([axle_id]).fetch(axle_id, {})

      # { axle id => { key => BrakeDatum } }
      def current_of(axle_ids)
        rows = @database[:brake_data].where(axle_id: axle_ids).order(:id).all
        rows.group_by { |row| row[:axle_id] }.transform_values do |mine|
          mine.to_h { |row| [row[:key], record(row)] }.reject { |_, datum| datum.value.nil? }
        end
      end

      # Every entry of one key, oldest first; taken-back ones have no value.
      def history(axle_id, key) = @database[:brake_data].where(axle_id:, key:).order(:id).map { |row| record(row) }

      # entries: [{ key:, value:, unit:, source: }]
      def add(axle_id, entries, at:)
        entries.each { |entry| @database[:brake_data].insert(axle_id:, recorded_at: at, **entry) }
      end

      private

      def record(row) = BrakeDatum.new(**row.slice(*BrakeDatum.members))
    end
  end
end
