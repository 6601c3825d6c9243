# frozen_string_literal: true

module Graver
  module Storage
    # Brake data of axles; each change is a new row, the newest counts.
    class BrakeData
      # current: { key => BrakeDatum }; by_source: { key => [BrakeDatum] }, each value of each source since the owner
      # took the value back or chose one, the newest first
      Known = Core::Value.define(:current, :by_source)

      def initialize(database)
        @database = database
      end

      # { key => BrakeDatum } as known now
      def current(axle_id) = known_of([axle_id]).fetch(axle_id).current

      # -> { axle id => Known }
      def known_of(axle_ids)
        rows = @database[:brake_data].where(axle_id: axle_ids).order(:id).all.group_by { |row| row[:axle_id] }
        axle_ids.to_h do |id|
          mine = rows.fetch(id, [])
          [id, Known.new(current: current_among(mine), by_source: by_source(mine))]
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

      def current_among(rows)
        rows.to_h { |row| [row[:key], row] }.reject { |_, row| row[:value].nil? }.transform_values { |row| record(row) }
      end

      def by_source(rows)
        rows
          .group_by { |row| row[:key] }
          .transform_values do |entries|
            standing(entries).reverse.uniq { |row| row.values_at(:source, :value, :unit) }.map { |row| record(row) }
          end
      end

      def standing(entries)
        from = entries.rindex { |row| row[:chosen] || row[:value].nil? } || 0
        entries.drop(from).reject { |row| row[:value].nil? }
      end

      def record(row) = BrakeDatum.new(**row.slice(*BrakeDatum.members))
    end
  end
end
