# frozen_string_literal: true

require "fileutils"
require "json"
require "logger"
require "rack/mock"
require "stringio"
require "tmpdir"
require "yaml"

module Benchmarks
  # How far one request reaches: the files of lib/graver it enters, and the statements it runs.
  class RequestReach
    Reached = Struct.new(:files, :statements, keyword_init: true)
    ROOT = File.join(Graver::Boot::ROOT, "lib/graver/")
    # what => [most files, most statements]
    AIMS = { "a tick" => [40, 15], "a saved reading to its verdict" => [50, nil] }.freeze

    def print_to(out)
      in_a_household do |app, context|
        { "a tick" => tick(app, context), "a saved reading to its verdict" => reading(context) }.each do |what, reached|
          files, statements = AIMS.fetch(what)
          ran = "#{reached.statements.length} statements#{" (aim #{statements})" if statements}"
          out.puts "#{what}: #{reached.files.length} files (aim #{files}), #{ran}"
        end
      end
    end

    # The second of two ticks of the half-done job: the usual case.
    def tick(app, context)
      job =
        context
          .store
          .vehicles
          .all
          .flat_map { |vehicle| context.store.jobs.of(vehicle.axles.map(&:id)) }
          .find { |each| each.state == "in_progress" }
      steps = JSON.parse(request(app, "GET", "/api/v1/jobs/#{job.id}").body)
      first, second = steps["steps"].map { |step| step["key"] } - steps["ticked"]
      send_tick(app, job, first)
      reach(context) { send_tick(app, job, second) }
    end

    # One reading of one pad, from the use case to the axle's verdict.
    def reading(context)
      vehicle = context.store.vehicles.all.first
      axle = vehicle.axles.first
      last = context.store.inspections.of_vehicle(vehicle.id).last
      given = {
        date: context.today.iso8601,
        odometer: {
          value: (last.odometer_value.to_f + 900).round.to_s,
          unit: last.odometer_unit,
          keep: true
        },
        readings: [
          {
            axle: axle.id,
            part: "pad",
            side: "left",
            pad: "inner",
            event: "reading",
            method: "caliper",
            unit: "mm",
            values: ["3.4"],
            answer: "keep"
          }
        ]
      }
      reach(context) do
        asked = context.for_request
        Graver::Service::Measuring::LogInspection.new(asked).call(vehicle.id, given)
        Graver::Service::Overview::VehicleOverviews.new(asked).find(vehicle.id).axles.first.judgement
      end
    end

    private

    def in_a_household
      Dir.mktmpdir do |folder|
        context =
          Graver::Boot.context(
            { "GRAVER_DATABASE" => File.join(folder, "reach.sqlite3"), "GRAVER_TODAY" => "2026-05-16" }
          )
        Graver::Service::Tables::LoadHousehold.new(context).call(
          YAML.safe_load_file(File.join(Graver::Boot::ROOT, "demo/household.yml"))
        )
        yield Graver::Boot.rack(context), context
        context.store.close
      end
    end

    def send_tick(app, job, step)
      answer = request(app, "POST", "/api/v1/jobs/#{job.id}/ticks", JSON.generate({ steps: [step], done: true }))
      raise "the tick was refused: #{answer.body}" unless answer.status == 200
    end

    def reach(context, &)
      files, statements = {}, StringIO.new
      logger = Logger.new(statements)
      entered = TracePoint.new(:call, :b_call) { |point| files[point.path] = true if point.path.start_with?(ROOT) }
      context.store.logged(logger) { entered.enable(&) }
      Reached.new(
        files: files.keys.map { |path| path.delete_prefix(ROOT) }.sort,
        statements: statements.string.lines.grep(/\(\d+\.\d+s\)/)
      )
    end

    def request(app, verb, path, body = "")
      Rack::MockRequest.new(app).request(
        verb,
        path,
        :input => body,
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "127.0.0.1",
        "REMOTE_ADDR" => "127.0.0.1"
      )
    end
  end
end
