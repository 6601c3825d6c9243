# frozen_string_literal: true

require "date"

module Graver
  module Storage
    # Which photo was taken where. A removed photo stays on file and can be restored.
    class Photos
      def initialize(database)
        @table = database[:photos]
      end

      # picture: Pictures::Kept; place: { job_id:, step:, key: } or { inspection_id: }; on: Date -> id
      def add(vehicle_id, picture, place, on:, at:)
        @table.insert(vehicle_id:, **picture.to_h, **place, taken_on: on.iso8601, recorded_at: at)
      end

      # Removed ones too. Raises NotFound.
      def find(id) = record(@table.first(id:) || raise(NotFound, Message.of("missing.photo")))

      # Those that stand, oldest first.
      def of_vehicle(vehicle_id) = @table.where(vehicle_id:, removed_at: nil).order(:id).map { |row| record(row) }

      # It can be restored.
      def remove(id, at:) = @table.where(id:).update(removed_at: at)
      # Shows it again.
      def restore(id) = @table.where(id:).update(removed_at: nil)

      private

      def record(row)
        Photo.new(
          **row.slice(:id, :vehicle_id, :job_id, :inspection_id, :step, :key, :digest, :width, :height),
          day: Date.iso8601(row[:taken_on]),
          removed: !row[:removed_at].nil?
        )
      end
    end
  end
end
