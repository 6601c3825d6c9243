# frozen_string_literal: true

module Graver
  module Service
    module Tables
      # Checks a table's rows one by one against a vehicle: rows to import, rows already logged, and faults.
      class ImportedRows
        # Share done between two reports of it.
        TOLD_EVERY = 0.02
        # entry: Core::Wear::Entry; cells: open columns as texts; axle_id
        Taken = Struct.new(:line, :axle_id, :entry, :cells, :row)
        LoggedDrum = Core::Value.define(:date, :odometer_km, :part, :side, :pad, :event, :reading)
        RowError = Core::Value.define(:line, :column, :message)
        # Replaces the log format's specification, from what is on file.
        Known =
          Struct.new(:files) do
            # -> [name] of the vehicle's axles
            def axle_names = files.keys
            # -> "disc" or "drum"
            def brakes(axle) = files.fetch(axle).brake_kind.brakes
            # axle: its name -> Core::Measurement::Normalise::Part
            def part(axle, part) = files.fetch(axle).part(part)
          end

        attr_reader :taken, :faults, :duplicates, :renewals

        # files: [AxleRecord] of the vehicle; table: LogFormat::Table; mapping: LogFormat::ColumnMapping; answers: {
        # line => did a new set go on there? }
        def initialize(knowledge, files, table, mapping, answers = {})
          @knowledge = knowledge
          @files = files.to_h { |file| [file.axle.name, file] }
          @table = table
          @mapping = mapping
          @answers = answers
          @inspections = files.first.inspections
          @reader = LogFormat::RowReader.new(knowledge.normalise, Known.new(@files))
          @faults = table.broken.map { |line, message| RowError.new(line:, column: "row", message:) }
        end

        # Yields the share that is done, now and then. -> self
        def call
          read = []
          told = -1.0
          @table.drain do |line, cells, share|
            yield told = share if block_given? && share >= told + TOLD_EVERY
            @mapping.call(cells).each { |row| (found = one(line, row)) && (read << found) }
          end
          @taken = without_known(in_order(read))
          @renewals = Renewals.new(@knowledge, @files, @answers).call(@taken)
          self
        end

        private

        def one(line, row)
          axle, entry = @reader.call(line, row)
          file = @files.fetch(axle)
          check_position(file, entry)
          entry = restored(entry, row, file) if row["entered"]
          Taken.new(line, file.axle.id, entry, row)
        rescue InvalidEntry => e
          # In a table with several readings a row, a fault of the row is reported once.
          found =
            e.faults.map do |fault|
              RowError.new(line:, column: fault.field.empty? ? "row" : fault.field, message: fault.message)
            end
          @faults.concat(found - @faults.last(20))
          nil
        end

        def check_position(file, entry)
          return if entry.side.nil? || file.axle.sides.include?(entry.side)

          raise InvalidEntry.of("side", "unknown_position", Message.of("faults.no_brake_side", side: entry.side))
        end

        # What Graver's own log says beyond the open columns. It must agree with them.
        def restored(entry, row, file)
          return entry.with(event: "metal", reading: nil) if row["entered"] == "metal"

          value, unit, method, upper = row["entered"].split("|", 4)
          number = ->(text) { text && Core::Quantity::EnteredNumber.parse(text) }
          reading =
            Core::Measurement::Reading.new(
              part: entry.part,
              method:,
              value: number[value],
              upper: number[upper],
              unit:,
              overall: entry.reading.overall
            )
          believed =
            [entry.reading, reading].map { |each| @knowledge.normalise.call(each, file.part(entry.part)).value_mm }
          if (believed[0] - believed[1]).abs > 0.001
            raise InvalidEntry.of("entered", "differs", Message.of("tables.differs"))
          end

          entry.with(reading:)
        rescue KeyError, NoMethodError, TypeError
          raise InvalidEntry.of("entered", "not_understood", Message.of("tables.entered_shape"))
        end

        # Rows whose odometer runs back, against the log or among themselves, are named and left out.
        def in_order(read)
          groups = read.group_by { |taken| [taken.entry.date, taken.entry.odometer_km] }
          points =
            groups.keys.filter_map do |date, km|
              against = against_log(date, km) or next Point.new(date, km)
              odometer_faults(
                groups.fetch([date, km]),
                Message.of("faults.runs_back_log", km: against[1].round, day: against[0])
              )
            end
          kept, odd = LogFormat::OdometerOrder.split(points)
          odd.each { |point| odometer_faults(groups.fetch(point.to_a), Message.of("faults.runs_back_rows")) }
          kept.to_a.sort_by(&:to_a).flat_map { |point| groups.fetch(point.to_a) }
        end

        Point = Struct.new(:date, :odometer_km)

        def odometer_faults(taken, message)
          taken.map(&:line).uniq.each { |line| @faults << RowError.new(line:, column: "odometer", message:) }
          nil
        end

        # The service in the log before or after that day which the odometer contradicts, as [date, km], or nil.
        def against_log(date, km)
          @before ||= @inspections.map { |inspection| [inspection.date, inspection.odometer_km] }.sort
          at = @before.bsearch_index { |other, _| other > date } || @before.length
          return @before[at - 1] if at.positive? && @before[at - 1][1] > km + 0.5

          @before[at] if at < @before.length && @before[at][1] < km - 0.5
        end

        # The same reading on the same day at the same place is not imported twice, nor one the log has already.
        def without_known(read)
          known =
            @files
              .values
              .flat_map { |file| [*file.entries, *drums(file)].map { |entry| fingerprint(file.axle.id, entry) } }
              .to_h { |print| [print, true] }
          fresh =
            read.reject do |taken|
              known.key?(print = fingerprint(taken.axle_id, taken.entry)) || !(known[print] = true)
            end
          @duplicates = read.length - fresh.length
          fresh
        end

        # Readings of drums: no log entries, so taken from their rows.
        def drums(file)
          file
            .rows(["drum"])
            .map do |row, inspection|
              LoggedDrum.new(
                **inspection.to_h.slice(:date, :odometer_km),
                **row.to_h.slice(:part, :side, :pad, :event),
                reading: file.reading_of(row)
              )
            end
        end

        def fingerprint(axle_id, entry)
          reading = entry.reading
          read = reading && [reading.method, reading.value.value, reading.upper&.value, reading.unit, reading.overall]
          [axle_id, entry.date, (entry.odometer_km * 10).round, entry.part, entry.side, entry.pad, entry.event, read]
        end
      end
    end
  end
end
