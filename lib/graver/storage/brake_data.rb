# frozen_string_literal: true

module Graver
  module Storage
    # Brake data of axles; each change is a new row, the newest counts.
    class BrakeData
      def initialize(database)
        @database = database
      end

      # { key => BrakeDatum } as known now
      def current(axle_id) = current_of([axle_id]).fetch(axle_id, {})

      # { axle id => { key => BrakeDatum } }
      def current_of(axle_ids)
        rows = @database[:brake_data].where(axle_id: axle_ids).order(:id).all
        rows
          .group_by { |row| row[:axle_id] }
          .transform_values do |mine|
            mine.to_h { |row| [row[:key], record(row)] }.reject { |_, datum| datum.value.nil? }
          end
      end

      # Each value of each source, since the owner took the value back or chose one: { axle id => { key => [BrakeDatum]
      # } }
      def by_source_of(axle_ids)
        rows = @database[:brake_data].where(axle_id: axle_ids).order(:id).all
        rows
          .group_by { |row| row[:axle_id] }
          .transform_values do |mine|
            mine
              .group_by { |row| row[:key] }
              .transform_values do |entries|
                standing(entries).reverse.uniq { |row| row.values_at(:source, :value, :unit) }.map { |row| record(row) }
              end
          end
      end

      # Keys the owner marked as not to be found, by axle: { axle id => [key] }
      def unknown_of(axle_ids)
        newest = @database[:brake_data].where(axle_id: axle_ids).group(:axle_id, :key).select { max(:id) }
        @database[:brake_data]
          .where(id: newest, value: nil, source: "unknown")
          .select_map(%i[axle_id key])
          .group_by(&:first)
          .transform_values { |pairs| pairs.map(&:last) }
      end

      # Every entry, oldest first, taken-back ones without a value: { key => [BrakeDatum] }
      def history(axle_id) = @database[:brake_data].where(axle_id:).order(:id).map { |row| record(row) }.group_by(&:key)

      # entries: [{ key:, value:, unit:, source: }]
      def add(axle_id, entries, at:)
        entries.each { |entry| @database[:brake_data].insert(axle_id:, recorded_at: at, **entry) }
      end

      private

      def standing(entries)
        from = entries.rindex { |row| row[:chosen] || row[:value].nil? } || 0
        entries.drop(from).reject { |row| row[:value].nil? }
      end

      def record(row) = BrakeDatum.new(**row.slice(*BrakeDatum.members))
    end
  end
end
