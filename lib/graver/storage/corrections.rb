# frozen_string_literal: true

require "json"

module Graver
  module Storage
    # Corrections: rows beside the original entries, and the entries with them applied.
    class Corrections
      def initialize(database)
        @table = database[:corrections]
        @inspections = database[:inspections]
      end

      # change: { "value" => "8.2", ... } or { "void" => true }; { "void" => false } takes a void back.
      def add(inspection_id:, change:, reason:, at:, by: nil, reading_id: nil, condition_id: nil, zero_check_id: nil)
        @table.insert(
          inspection_id:,
          reading_id:,
          condition_id:,
          zero_check_id:,
          change: JSON.generate(change),
          reason:,
          recorded_at: at,
          done_by: by
        )
      end

      # { inspection id => [Correction] }, oldest first
      def of(inspection_ids)
        @table.where(inspection_id: inspection_ids).order(:id).map { |row| record(row) }.group_by(&:inspection_id)
      end

      # Of a vehicle's inspections, struck out ones too -> [Correction], oldest first
      def of_vehicle(vehicle_id)
        @table.where(inspection_id: @inspections.where(vehicle_id:).select(:id)).order(:id).map { |row| record(row) }
      end

      # A row of evidence (symbol keys) as it reads after its corrections; :void is true when it does not count.
      def self.applied(row, corrections)
        corrections.reduce(row) { |now, correction| now.merge(correction.change.transform_keys(&:to_sym)) }
      end

      private

      def record(row)
        Correction.new(
          **row.slice(:id, :inspection_id, :reading_id, :condition_id, :zero_check_id, :reason, :recorded_at, :done_by),
          change: JSON.parse(row[:change])
        )
      end
    end
  end
end
