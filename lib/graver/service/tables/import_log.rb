# frozen_string_literal: true

require "digest"
require "time"

module Graver
  module Service
    module Tables
      # Imports the owner's own table: previewed, checked, then imported in one go, and undone if it was a mistake.
      class ImportLog
        LARGEST_BYTES = 40_000_000
        MOST_FAULTS = 300
        SAMPLE_ROWS = 8
        STARTING = Mutex.new
        private_constant :STARTING
        # Fields of a mapping for each reading.
        FIELDS = LogFormat::ColumnMapping::FIELDS

        def initialize(context)
          @context = context
          @store = context.store
        end

        # The file as it came -> Storage::Import. Raises InvalidEntry, NotFound.
        def upload(vehicle_id, name, bytes)
          vehicle = @store.vehicles.find(vehicle_id)
          raise InvalidEntry.of("name", "invalid", Message.of("shape.control")) if name.to_s.match?(/[[:cntrl:]]/)

          LogFormat::Table.read(bytes)
          @store.transaction do
            @store.imports.forget_unfinished(before: (@context.time - 86_400).iso8601)
            @store.imports.add(
              vehicle_id: vehicle.id,
              name: name.to_s.strip[0, 120],
              digest: Digest::SHA256.hexdigest(bytes),
              content: bytes,
              at: @context.now
            )
          end
        end

        # -> Storage::Import. Raises NotFound.
        def find(id) = @store.imports.find(id)
        # -> [Storage::Import]. Raises NotFound.
        def of_vehicle(vehicle_id) = @store.imports.of_vehicle(@store.vehicles.find(vehicle_id).id)

        # -> { header:, sample:, rows:, guess: }
        def columns(import)
          table = table(import)
          {
            header: table.header,
            sample:
              table
                .rows
                .first(SAMPLE_ROWS)
                .map { |_, cells| table.header.each_index.map { |at| cells[at].to_s[0, 60] } },
            rows: table.rows.length,
            guess: LogFormat::MappingGuess.new(table.header, table.rows).call
          }
        end

        # What would be taken; nothing is. -> Hash as the API gives it. Raises InvalidEntry.
        def dry_run(import, mapping) = summary(rows(import, mapping).call)

        # Imports it in a separate thread; `progress` says how far. Raises InvalidEntry at once when the mapping
        # cannot be used.
        def start(import, mapping)
          raise Conflict, Message.of("conflicts.taken") unless import.state == "uploaded"

          rows = rows(import, mapping)
          begin_once(import.id)
          Thread.new { take_guarded(import, mapping, rows) }
        end

        # The same without a thread -> summary
        def take(import, mapping) = taken(import, mapping, rows(import, mapping))

        # -> [state, share taken or nil, why it failed or nil]
        def progress(import)
          going = under_way[import.id]
          [going && !going[:failed] ? "running" : import.state, *(going || {}).values_at(:share, :failed)]
        end

        # Undoes an import: it no longer counts; the file and its readings stay.
        def undo(import)
          raise Conflict, Message.of("conflicts.not_finished") unless import.state == "done"

          @store.transaction { @store.imports.undo(import.id, at: @context.now) }
        end

        private

        # Two who press at once start it once; one that failed may be tried again.
        def begin_once(id)
          STARTING.synchronize do
            raise Conflict, Message.of("conflicts.being_taken") if under_way[id] && !under_way[id][:failed]

            under_way[id] = { share: 0.0, failed: nil }
          end
        end

        def under_way = @context.imports_under_way
        def table(import) = LogFormat::Table.read(@store.imports.content(import.id).b)

        def rows(import, mapping)
          table = table(import)
          files = Household::AxleRecords.new(@context).of_vehicle(import.vehicle_id)
          columns = LogFormat::ColumnMapping.new(mapping, table.header.length)
          ImportedRows.new(@context.knowledge, files, table, columns, answers(mapping))
        end

        # The owner's answers about new sets the table does not name: { line => true or false }
        def answers(mapping) = (mapping["renewals"] || []).to_h { |each| each.values_at("line", "new") }

        def take_guarded(import, mapping, rows)
          taken(import, mapping, rows)
          under_way.delete(import.id)
        rescue StandardError => e
          ErrorLog.report(e)
          under_way[import.id] = { share: 1.0, failed: Message.of("conflicts.half_way") }
        end

        def taken(import, mapping, rows)
          seen = @store.revisions.household
          rows.call { |share| going(import, share * 0.7) }
          @store.backups.make("before-import")
          found =
            @store.transaction do
              put_in(import, mapping, seen == @store.revisions.household ? rows : rows(import, mapping).call)
            end
          @context.later { |context| Forecast::RecordForecasts.new(context).keep_of(import.vehicle_id) }
          found
        end

        # What the log has already, and whether this was imported before, is decided inside the write lock.
        def put_in(import, mapping, rows)
          raise Conflict, Message.of("conflicts.taken") unless @store.imports.find(import.id).state == "uploaded"

          @store
            .inspections
            .add_many(inspections(rows, import), at: @context.now) { |share| going(import, 0.7 + (share * 0.3)) }
          summary(rows).tap { |found| @store.imports.finish(import.id, mapping:, result: found, at: @context.now) }
        end

        def going(import, share) = under_way[import.id]&.store(:share, share.round(3))

        def summary(rows)
          dates = rows.taken.map { |taken| taken.entry.date }.minmax
          {
            readings: rows.taken.length,
            inspections: services(rows.taken).length,
            duplicates: rows.duplicates,
            renewals: rows.renewals.first(MOST_FAULTS).map { |each| each.to_h.slice(:line, :text, :assumed, :new) },
            from: dates.first&.iso8601,
            to: dates.last&.iso8601,
            bad_rows: rows.faults.map(&:line).uniq.length,
            faults: rows.faults.sort_by(&:line).first(MOST_FAULTS).map(&:to_h)
          }
        end

        def services(taken) = taken.group_by { |row| [row.entry.date, row.entry.odometer_km] }

        # One inspection per day and odometer, created when needed; detected new sets are fitted before the readings.
        def inspections(rows, import)
          all = services(rows.taken)
          new = rows.renewals.select(&:new).group_by(&:key)
          doubted = rows.renewals.reject(&:new).to_h { |each| [each.line, each.text.to_s] }
          Enumerator.new(all.length) do |each|
            all.each do |(date, km), taken|
              fits = new.fetch([date, km], []).map { |found| fit(found) }
              each << inspection(date, km, taken, import, fits, doubted)
            end
          end
        end

        def fit(renewal)
          nothing = %i[side pad method unit upper value doubt].to_h { |field| [field, nil] }
          { **nothing, axle_id: renewal.axle_id, event: "fit", part: renewal.part, overall: false, place: 1 }
        end

        def inspection(date, km, rows, import, fits, doubted)
          cells = rows.first.cells
          note = rows.filter_map { |row| row.cells["note"] }.uniq.join("; ")
          {
            vehicle_id: import.vehicle_id,
            date:,
            odometer: {
              value: cells["odometer"],
              unit: cells["odometer_unit"],
              km:
            },
            import_id: import.id,
            note: note.empty? ? nil : note.to_s,
            readings: fits + rows.flat_map { |row| readings(row, doubted[row.line]) }
          }
        end

        # doubt: the owner says that no new set was fitted, so the reading is flagged
        def readings(taken, doubt)
          cells = taken.cells
          value, unit, method, upper =
            cells["entered"] && cells["entered"] != "metal" ? cells["entered"].split("|", 4) : stated(taken)
          common = {
            axle_id: taken.axle_id,
            event: taken.entry.event,
            part: taken.entry.part,
            side: taken.entry.side,
            pad: taken.entry.pad,
            method:,
            unit:,
            upper:,
            overall: taken.entry.reading&.overall || false,
            doubt: cells["doubt"] || doubt
          }
          return [common.update(value:, place: 1)] unless cells["places"]

          cells["places"]
            .split(LogFormat::Columns::PLACE_SEPARATOR)
            .each_with_index
            .map { |text, at| common.merge(value: text, place: at + 1) }
        end

        # Value, unit, method and upper as the open columns have them; an event without a figure has none.
        def stated(taken)
          reading = taken.entry.reading or return []
          [taken.cells["value"], reading.unit, reading.method, taken.cells["upper"]]
        end
      end
    end
  end
end
