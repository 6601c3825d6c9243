# frozen_string_literal: true

require "fileutils"
require "json"
require "logger"
require "rack/mock"
require "stringio"
require "tmpdir"
require "yaml"

module Benchmarks
  # How far one request reaches, by the real path through the API: the files of lib/graver it enters, the statements it
  # runs and the bytes it answers with. What a server does after its answer is counted on its own.
  class RequestReach
    Reached = Struct.new(:files, :statements, :bytes, :status, keyword_init: true)
    ROOT = File.join(Graver::Boot::ROOT, "lib/graver/")
    # what => most files, statements and bytes
    AIMS = {
      # of a command, one statement asks who is at the device; of a tick, about 85 bytes a step say who did it and when
      "a tick" => [46, 13, 5_500],
      "a reading saved as it was previewed" => [50, 15, 100],
      "the work after it" => [84, 20, 0],
      "the vehicle, unchanged" => [25, 3, 7_000],
      "its findings, after the vehicle" => [74, 9, 14_000],
      "an open item ticked" => [187, 21, 6_400]
    }.freeze

    # -> { what => Reached }
    def call
      in_a_household do |app, context|
        @app, @context = app, context
        @vehicle = context.store.vehicles.all.first
        { **ticks, **reading, **pages, **open_item }
      end
    end

    def print_to(out)
      call.each do |what, reached|
        counts = [reached.files.length, reached.statements.length, reached.bytes]
        said = %w[files statements bytes].zip(counts, AIMS.fetch(what)).map { |of, is, aim| "#{is} #{of} (aim #{aim})" }
        out.puts "#{what}: #{said.join(", ")}"
      end
    end

    private

    # The second of two ticks of the half-done job: the usual case.
    def ticks
      job = jobs.find { |each| each.state == "in_progress" }
      plan = ask("GET", "/jobs/#{job.id}")
      first, second = plan["steps"].map { |step| step["key"] } - plan["ticked"]
      tick = ->(step) { reach("POST", "/jobs/#{job.id}/ticks", { steps: [step], done: true }) }
      tick[first]
      { "a tick" => tick[second] }
    end

    # One reading of one pad, previewed while it is typed, as the screen does.
    def reading
      ask("POST", "/vehicles/#{@vehicle.id}/inspections/preview", inspection)
      saved = reach("POST", "/vehicles/#{@vehicle.id}/inspections", inspection)
      { "a reading saved as it was previewed" => saved, "the work after it" => later }
    end

    def pages
      ask("GET", "/vehicles/#{@vehicle.id}")
      {
        "the vehicle, unchanged" => reach("GET", "/vehicles/#{@vehicle.id}"),
        "its findings, after the vehicle" => reach("GET", "/vehicles/#{@vehicle.id}/findings")
      }
    end

    # By a page that has the job already.
    def open_item
      job = jobs.find { |each| %w[draft ready].include?(each.state) }
      plan = ask("GET", "/jobs/#{job.id}")
      item = plan["readiness"].find { |each| each["tickable"] && !each["resolved"] }["id"]
      have = { "HTTP_GRAVER_HAVE" => plan["version"] }
      { "an open item ticked" => reach("POST", "/jobs/#{job.id}/resolved", { item:, done: true }, have) }
    end

    def jobs
      @context.store.vehicles.all.flat_map { |vehicle| @context.store.jobs.of(vehicle.axles.map(&:id)) }
    end

    def inspection
      last = @context.store.inspections.of_vehicle(@vehicle.id).reject { |each| each.date == @context.today }.last
      {
        date: @context.today.iso8601,
        odometer: {
          value: (last.odometer_value.to_f + 900).round.to_s,
          unit: last.odometer_unit,
          keep: true
        },
        readings: [
          {
            axle: @vehicle.axles.first.id,
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
    end

    def in_a_household
      Dir.mktmpdir do |folder|
        @later = []
        serving = Graver::Service::Base::Context::Serving.new(later: @later.method(:push), patience: nil)
        context =
          Graver::Boot.context(
            { "GRAVER_DATABASE" => File.join(folder, "reach.sqlite3"), "GRAVER_TODAY" => "2026-05-16" },
            serving:
          )
        Graver::Service::Tables::LoadHousehold.new(context).call(
          YAML.safe_load_file(File.join(Graver::Boot::ROOT, "demo/household.yml"))
        )
        work_off
        yield Graver::Boot.rack(context), context
      ensure
        context&.store&.close
      end
    end

    def work_off
      @later.shift.call until @later.empty?
    end

    def later = counted { work_off }
    def ask(...) = JSON.parse(request(...).body)

    def reach(verb, path, body = nil, headers = {})
      counted { request(verb, path, body, headers) }.tap do |reached|
        raise "#{verb} #{path} answered #{reached.status}" unless (200..299).cover?(reached.status)
      end
    end

    def counted
      files, statements, answer = {}, StringIO.new, nil
      entered = TracePoint.new(:call, :b_call) { |point| files[point.path] = true if point.path.start_with?(ROOT) }
      @context.store.logged(Logger.new(statements)) { entered.enable { answer = yield } }
      Reached.new(
        files: files.keys.map { |path| path.delete_prefix(ROOT) }.sort,
        statements: statements.string.lines.grep(/\(\d+\.\d+s\)/),
        bytes: answer.is_a?(Rack::MockResponse) ? answer.body.bytesize : 0,
        status: answer.is_a?(Rack::MockResponse) ? answer.status : nil
      )
    end

    def request(verb, path, body = nil, headers = {})
      Rack::MockRequest.new(@app).request(
        verb,
        "/api/v1#{path}",
        :input => body ? JSON.generate(body) : "",
        "CONTENT_TYPE" => "application/json",
        "HTTP_HOST" => "127.0.0.1",
        "REMOTE_ADDR" => "127.0.0.1",
        **headers
      )
    end
  end
end
