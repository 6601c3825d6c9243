# frozen_string_literal: true

require "rack/mock"
require "tmpdir"
require "yaml"
require_relative "simulated_log"

module Benchmarks
  # How long things take, each against a plain yardstick in the same run. Medians of several rounds.
  class Speed
    ROUNDS = 9
    HOST = { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1" }.freeze

    def print_to(out)
      Dir.mktmpdir do |folder|
        context =
          Graver::Boot.context(
            { "GRAVER_DATABASE" => File.join(folder, "bench.sqlite3"), "GRAVER_TODAY" => "2026-05-16" }
          )
        Graver::Service::Tables::LoadHousehold.new(context).call(
          YAML.safe_load_file(File.join(Graver::Boot::ROOT, "demo/household.yml"))
        )
        forecast(out, context.knowledge)
        overview(out, context)
        findings(out, context)
        planning(out, context)
        context.store.close
      end
    end

    private

    def forecast(out, library)
      log = SimulatedLog.new(World::ALL.first, :steady, 7)
      forecaster = Graver::LogFormat::Forecaster.new(normalise: library.normalise, outlook: library.outlook)
      ours = median { forecaster.call(log.csv, log.specification) }
      line = median(inner: 1000) { Graver::Core::Wear::StraightLine.fit(log.points).reaches(log.limit_mm) }
      say(out, "forecast of one log (4 pads, #{log.points.length - 1} services)", ours, "least-squares line", line)
    end

    def overview(out, context)
      browser = Rack::MockRequest.new(Graver::Boot.rack(context))
      fresh =
        median do
          context.outlooks.clear
          expect_ok(browser.get("/api/v1/vehicles/1", HOST))
        end
      again = median { expect_ok(browser.get("/api/v1/vehicles/1", HOST)) }
      health = median(inner: 20) { expect_ok(browser.get("/api/v1/health", HOST)) }
      say(out, "overview of a vehicle, forecast afresh", fresh, "health route", health)
      say(out, "overview of a vehicle, nothing changed", again, "health route", health)
    end

    # Everything that is judged about a vehicle, with the forecasts cached.
    def findings(out, context)
      service = Graver::Service::Judging::Findings.new(context)
      ours = median { service.call(1) }
      health = median(inner: 20) { context.store.reachable? }
      say(out, "verdicts of a vehicle (aim under 20 ms)", ours, "asking the file", health)
    end

    # A whole plan with the forecasts cached; and the longest order of steps, with its proof.
    def planning(out, context)
      job = context.store.jobs.find(1)
      plans = Graver::Service::Jobs::JobPlan.new(context)
      file = median { context.store.reachable? }
      say(out, "plan of a job, all of it (aim under 50 ms)", median { plans.of_job(job) }, "asking the file", file)
      scope = Graver::Service::Jobs::Scope.new(context)
      files = Graver::Service::Household::AxleRecords.new(context).of([context.store.vehicles.find(1)]).values.first
      setups = files.map { |axle| scope.setup(axle, %w[pads rotors_new clips pins hose]) }
      steps = Graver::Service::Jobs::Steps.new(context.knowledge)
      plan_edit = { 1 => { "action" => "insert", "after" => "settle", "text" => "Tea" } }
      order = median { steps.call(setups, files.first, possible: true, plan_edits: plan_edit) }
      say(out, "order and proof of both axles' steps", order, "asking the file", file)
    end

    def expect_ok(response) = response.status == 200 || raise("answered #{response.status}")

    # Seconds of one call: the median over rounds, each of `inner` calls.
    def median(inner: 1, &block)
      yield
      Array
        .new(ROUNDS) do
          start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
          inner.times(&block)
          (Process.clock_gettime(Process::CLOCK_MONOTONIC) - start) / inner
        end
        .sort[
        ROUNDS / 2
      ]
    end

    def say(out, what, seconds, yardstick, other)
      out.puts format(
                 "%-48s %9.2f ms   %-20s %9.4f ms   ratio %.0f",
                 what,
                 seconds * 1000,
                 yardstick,
                 other * 1000,
                 seconds / other
               )
    end
  end
end
