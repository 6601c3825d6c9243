# frozen_string_literal: true

require "date"
require "tmpdir"
require_relative "clock"

module Benchmarks
  # The import of a large table against putting the same rows into the same tables directly: once in blocks through the
  # database library, once with one prepared statement, which is about as fast as SQLite takes them.
  class ImportSpeed
    ROWS = 100_000
    ROUNDS = 3

    def print_to(out)
      times = Array.new(ROUNDS) { [*imported, raw(:blocks), raw(:prepared)] }
      ours, forecasts, memory, blocks, prepared = times.transpose.map { |figures| figures.sort[ROUNDS / 2] }
      out.puts format(
                 "import of %d readings: %.2f s, with %d MB more; the same rows inserted raw: %.2f s in blocks, " \
                   "ratio %.2f (aim at most 3); %.2f s prepared, ratio %.2f; past forecasts kept afterwards: %.2f s",
                 ROWS,
                 ours,
                 memory,
                 blocks,
                 ours / blocks,
                 prepared,
                 ours / prepared,
                 forecasts
               )
    end

    private

    # A made-up log: two axles with four pads and two rotors each, a service a day.
    def text
      @text ||=
        begin
          lines = ["date,odometer,axle,side,part,pad,event,method,value,unit"]
          day = Date.new(1960, 1, 1)
          (0...ROWS).each do |row|
            at, position = row.divmod(12)
            axle, place = position.divmod(6)
            side, part = place.divmod(3)
            pad = %w[inner outer][part]
            value = pad ? format("%.1f", 11 - (at % 80 / 10.0)) : format("%.2f", 25 - (at % 20 / 10.0))
            lines << [
              day + at,
              1000 + (at * 40),
              %w[front rear][axle],
              %w[left right][side],
              pad ? "pad" : "rotor",
              pad,
              "reading",
              pad ? "caliper" : "micrometer",
              value,
              "mm"
            ].join(",")
          end
          lines.join("\n") << "\n"
        end
    end

    def fresh(**how)
      Dir.mktmpdir do |folder|
        context =
          Graver::Boot.context(
            { "GRAVER_DATABASE" => File.join(folder, "bench.sqlite3"), "GRAVER_TODAY" => "2026-05-16" },
            **how
          )
        vehicle =
          Graver::Service::Household::AddVehicle.new(context).call({ name: "Bench", kind: "car", distance_unit: "km" })
        yield context, vehicle
      ensure
        context&.store&.close
      end
    end

    # In a separate process, as its memory is measured -> [seconds until it is taken, seconds of what is done
    # afterwards, MB at most]
    def imported
      reader, writer = IO.pipe
      child = fork { writer.puts(measured.join(" ")) }
      Process.wait(child)
      reader.gets.split.map(&:to_f)
    end

    def measured
      afterwards = []
      serving = Graver::Service::Base::Context::Serving.new(later: afterwards.method(:push), patience: nil)
      fresh(serving:) do |context, vehicle|
        before = Clock.memory_mb
        imports = Graver::Service::Tables::ImportLog.new(context)
        import = imports.upload(vehicle.id, "bench.csv", text.b)
        mapping = imports.columns(import)[:guess]
        taken = nil
        seconds = Clock.seconds { taken = imports.take(import, mapping).fetch(:readings) }
        raise("only #{taken} of #{ROWS} rows were taken") unless taken == ROWS

        memory = Clock.memory_mb - before
        [seconds, Clock.seconds { afterwards.each(&:call) }, memory]
      end
    end

    # The same rows and columns in one transaction, split before the clock starts.
    def raw(how)
      fresh do |context, vehicle|
        database = context.store.instance_variable_get(:@database)
        rows = text.lines.drop(1).map { |line| line.chomp.split(",", -1) }.group_by { |row| row[0, 2] }
        services =
          rows.keys.each_with_index.map do |(date, odometer), at|
            {
              id: at + 1,
              vehicle_id: vehicle.id,
              date:,
              odometer_value: odometer,
              odometer_unit: "km",
              odometer_km: odometer.to_f,
              recorded_at: "now"
            }
          end
        readings = rows.values.each_with_index.flat_map { |mine, at| mine.map { |row| reading(row, at + 1, vehicle) } }
        Clock.seconds do
          database.transaction do
            { inspections: services, readings: }.each { |table, values| send(how, database, table, values) }
          end
        end
      end
    end

    def blocks(database, table, rows) = database[table].multi_insert(rows, slice: 400)

    def prepared(database, table, rows)
      columns = rows.first.keys
      database.synchronize do |connection|
        statement =
          connection.prepare(
            "INSERT INTO #{table} (#{columns.join(", ")}) VALUES (#{(["?"] * columns.length).join(", ")})"
          )
        rows.each do |row|
          statement.bind_params(row.values)
          statement.step
          statement.reset!
        end
        statement.close
      end
    end

    def reading(row, inspection_id, vehicle)
      {
        inspection_id:,
        axle_id: vehicle.axles[row[2] == "front" ? 0 : 1].id,
        side: row[3],
        part: row[4],
        pad: row[5].empty? ? nil : row[5],
        event: row[6],
        method: row[7],
        value: row[8],
        unit: row[9],
        place: 1,
        overall: 0
      }
    end
  end
end
