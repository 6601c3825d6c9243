# frozen_string_literal: true

require "date"
require "sequel"

module Graver
  module Storage
    # Dated services with their readings and conditions: as entered, and as they read after corrections.
    class Inspections
      def initialize(database)
        @database = database
        @corrections = Corrections.new(database)
      end

      # readings: [{ axle_id:, event:, part:, ..., flags: [{ code:, question:, value:, unit:, answer: }] }];
      # conditions: [{ axle_id:, side:, face:, item:, mark:, value: }]; origin: { job_id:, done_by: name of who entered
      # it } where known -> id
      def add(vehicle_id:, date:, odometer:, note:, readings:, at:, conditions: [], **origin)
        row = inspection_row({ vehicle_id:, date:, odometer:, note: }, at)
        id = @database[:inspections].insert({ **row, **origin })
        add_rows(id, readings, conditions)
        id
      end

      # More of the same inspection, as for `add` -> id
      def append(id, readings:, conditions: [])
        add_rows(id, readings, conditions)
        # the vehicle's records changed without a new row that says so
        tell_of(@database[:inspections].where(id:).get(:vehicle_id))
        id
      end

      # Many at once (an import), as for `add`, without flags and conditions: one prepared statement a table, as
      # building a hundred thousand of them takes longer than the rest. Within a transaction. Yields the share that is
      # done.
      def add_many(inspections, at:)
        first = (@database[:inspections].max(:id) || 0) + 1
        @database.synchronize do |connection|
          dated, read =
            { inspections: LOOK_OVER_COLUMNS, readings: READING_COLUMNS }.map do |table, columns|
              connection.prepare(insertion(table, columns))
            end
          inspections.each_with_index do |given, index|
            run(dated, inspection_row(given, at).merge(id: first + index).values_at(*LOOK_OVER_COLUMNS))
            given[:readings].each { |reading| run(read, bare(ROW.merge(reading, inspection_id: first + index))) }
            yield index.fdiv(inspections.size) if block_given? && (index % 1000).zero?
          end
        ensure
          [dated, read].compact.each(&:close)
        end
      end

      # Counting inspections, oldest first.
      def of_vehicle(vehicle_id) = of_vehicles([vehicle_id]).fetch(vehicle_id, [])

      # { vehicle id => [Inspection] } without void ones and those of imports that were undone. What simulated devices
      # sent counts on samples alone.
      def of_vehicles(vehicle_ids)
        sample = @database[:vehicles].where(id: Sequel[:inspections][:vehicle_id]).select(:sample)
        rows = standing.where(vehicle_id: vehicle_ids).select_all(:inspections).select_append(sample.as(:sample)).all
        samples = rows.select { |row| [true, 1].include?(row[:sample]) }.map { |row| row[:vehicle_id] }
        kept = records(rows).reject(&:void)
        kept.map! { |inspection| samples.include?(inspection.vehicle_id) ? inspection : measured(inspection) }
        kept.sort_by { |inspection| [inspection.date, inspection.odometer_km, inspection.id] }.group_by(&:vehicle_id)
      end

      # One with everything, void readings too. Raises NotFound.
      def find(id)
        row = standing.first(id:) or raise NotFound, Message.of("missing.inspection")
        records([row], void: true).first
      end

      # [ReadingRow] made with an instrument from a day on, each with its Inspection.
      def read_with(instrument_id, since: nil)
        ids = @database[:readings].where(instrument_id:).distinct.select_map(:inspection_id)
        rows = standing.where(id: ids).all
        kept = records(rows).reject { |inspection| inspection.void || (since && inspection.date < since) }
        kept
          .sort_by(&:date)
          .flat_map do |inspection|
            inspection.readings.select { |row| row.instrument_id == instrument_id }.map { |row| [inspection, row] }
          end
      end

      private

      CONDITION = { axle_id: nil, side: nil, face: nil, mark: nil, value: nil, simulated: false }.freeze
      ROW = {
        axle_id: nil,
        event: "reading",
        part: nil,
        side: nil,
        pad: nil,
        place: 1,
        method: nil,
        value: nil,
        upper: nil,
        unit: nil,
        overall: false,
        doubt: nil,
        instrument_id: nil,
        simulated: false
      }.freeze
      READING_COLUMNS = [*ROW.keys, :inspection_id].freeze
      BARE = { true => 1, false => 0 }.freeze
      LOOK_OVER_COLUMNS = %i[
        id
        vehicle_id
        date
        odometer_value
        odometer_unit
        odometer_km
        note
        recorded_at
        import_id
      ].freeze
      private_constant :ROW, :CONDITION, :READING_COLUMNS, :LOOK_OVER_COLUMNS, :BARE

      def tell_of(vehicle_id)
        @database[:household_revision].update(revision: Sequel[:revision] + 1)
        @database[:vehicle_revisions].insert_conflict(
          target: :vehicle_id,
          update: {
            revision: Sequel[:vehicle_revisions][:revision] + 1
          }
        ).insert(vehicle_id:, revision: 1)
      end

      def add_rows(id, readings, conditions)
        plain, doubted = readings.partition { |reading| reading[:flags].to_a.empty? }
        @database[:readings].multi_insert(plain.map { |reading| row(reading, id) })
        doubted.each { |reading| add_doubted(reading, id) }
        @database[:conditions].multi_insert(
          conditions.map { |condition| CONDITION.merge(condition, inspection_id: id) }
        )
      end

      def measured(inspection)
        inspection.with(
          readings: inspection.readings.reject(&:simulated),
          conditions: inspection.conditions.reject(&:simulated)
        )
      end

      # Those typed in, and those of imports that were not undone.
      def standing
        undone = @database[:imports].exclude(undone_at: nil).select(:id)
        @database[:inspections].where(Sequel.|({ import_id: nil }, Sequel.~(import_id: undone)))
      end

      def inspection_row(given, at)
        odometer = given[:odometer]
        {
          vehicle_id: given[:vehicle_id],
          date: given[:date].iso8601,
          odometer_value: odometer[:value],
          odometer_unit: odometer[:unit],
          odometer_km: odometer[:km],
          note: given[:note],
          recorded_at: at,
          import_id: given[:import_id]
        }
      end

      def insertion(table, columns)
        "INSERT INTO #{table} (#{columns.join(", ")}) VALUES (#{(["?"] * columns.length).join(", ")})"
      end

      def run(statement, values)
        statement.bind_params(values)
        statement.step
        statement.reset!
      end

      # A row as the driver takes it.
      def bare(row) = row.values_at(*READING_COLUMNS).map { |value| BARE.fetch(value, value) }

      def row(reading, inspection_id) = ROW.merge(reading.except(:flags), inspection_id:)

      def add_doubted(reading, inspection_id)
        id = @database[:readings].insert(row(reading, inspection_id))
        @database[:flags].multi_insert(reading[:flags].map { |flag| { reading_id: id, **flag } })
      end

      def records(rows, void: false)
        ids = rows.map { |row| row[:id] }
        readings, conditions = %i[readings conditions].map { |table| grouped(table, ids) }
        flags = grouped_flags(ids)
        corrections = @corrections.of(ids)
        rows.map do |row|
          record(
            row,
            readings.fetch(row[:id], []),
            conditions.fetch(row[:id], []),
            corrections.fetch(row[:id], []),
            flags,
            void
          )
        end
      end

      def grouped(table, ids)
        @database[table].where(inspection_id: ids).order(:id).all.group_by { |row| row.delete(:inspection_id) }
      end

      def grouped_flags(ids)
        @database[:flags]
          .where(reading_id: @database[:readings].where(inspection_id: ids).select(:id))
          .order(:id)
          .map { |row| [row[:reading_id], Flag.new(**row.slice(*Flag.members))] }
          .group_by(&:first)
          .transform_values { |pairs| pairs.map(&:last) }
      end

      def record(row, readings, conditions, corrections, flags, void)
        mine = corrections.select { |correction| correction.reading_id.nil? && correction.condition_id.nil? }
        now = Corrections.applied(row.merge(void: false), mine)
        by_reading, by_condition = corrections.group_by(&:reading_id), corrections.group_by(&:condition_id)
        marks = conditions.map { |condition| condition(condition, by_condition.fetch(condition[:id], [])) }
        rows =
          readings.map { |reading| reading(reading, by_reading.fetch(reading[:id], []), flags.fetch(reading[:id], [])) }
        fields =
          now.slice(*%i[id vehicle_id odometer_value odometer_unit odometer_km note void import_id job_id done_by])
        Inspection.new(
          **fields,
          date: Date.iso8601(now[:date]),
          readings: void ? rows : rows.reject(&:void),
          corrections: mine,
          conditions: void ? marks : marks.reject(&:void)
        )
      end

      def condition(row, corrections)
        now = Corrections.applied(row.merge(void: false), corrections)
        Condition.new(**now.slice(*Condition.members), entered: row[:mark] || row[:value], corrections:)
      end

      def reading(row, corrections, flags)
        # a log holds the same few words again and again
        row.transform_values! { |value| value.is_a?(String) ? -value : value }
        now = corrections.empty? ? row : Corrections.applied(row.merge(void: false), corrections)
        ReadingRow.new(void: false, **now, flags:, corrections:, entered: row[:value])
      end
    end
  end
end
