# frozen_string_literal: true

require "json"
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

    # As a browser does it: a reading is saved, then the vehicle's page is asked for, then again.
    def overview(out, context)
      browser = Rack::MockRequest.new(Graver::Boot.rack(context))
      health = median(inner: 20) { expect_ok(browser.get("/api/v1/health", HOST)) }
      saved, after, again = Array.new(3) { [] }
      ROUNDS.times do |round|
        saved << seconds { expect_ok(save(browser, context, round)) }
        after << seconds { expect_ok(browser.get("/api/v1/vehicles/1", HOST)) }
        again << seconds { expect_ok(browser.get("/api/v1/vehicles/1", HOST)) }
      end
      {
        "a reading saved, with the forecast kept" => saved,
        "the vehicle right after it" => after,
        "the vehicle, nothing changed" => again
      }.each { |what, times| say(out, what, times.sort[ROUNDS / 2], "health route", health) }
    end

    def save(browser, context, round)
      vehicle = context.store.vehicles.find(1)
      last = context.store.inspections.of_vehicle(1).map(&:odometer_km).max
      reading = {
        axle: vehicle.axles.first.id,
        part: "pad",
        side: "left",
        pad: "inner",
        event: "reading",
        method: "caliper",
        unit: "mm",
        values: [format("%.2f", 3.4 - (round * 0.01))],
        answer: "keep"
      }
      given = {
        date: context.today.iso8601,
        odometer: {
          value: (last + 100).round.to_s,
          unit: "km",
          keep: true
        },
        readings: [reading]
      }
      browser.post(
        "/api/v1/vehicles/1/inspections",
        **HOST,
        :input => JSON.generate(given),
        "CONTENT_TYPE" => "application/json"
      )
    end

    def seconds
      start = Process.clock_gettime(Process::CLOCK_MONOTONIC)
      yield
      Process.clock_gettime(Process::CLOCK_MONOTONIC) - start
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

    def expect_ok(response) = (200..201).cover?(response.status) || raise("answered #{response.body}")

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
