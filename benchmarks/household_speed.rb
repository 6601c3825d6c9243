# frozen_string_literal: true

require "json"
require "net/http"
require "tmpdir"
require_relative "clock"
require_relative "filled_household"
require_relative "server"

module Benchmarks
  # A household of twenty vehicles with 10,000 and with 100,000 readings, on a separate server as owners start it: each
  # page when nothing has changed, against the health route in the same run; a reading saved, and the page right after
  # it; eight clients for a minute; memory; and the first minute of a new day.
  class HouseholdSpeed
    SIZES = [10_000, 100_000].freeze
    ROUNDS = 40
    SAVES = 9
    NEXT_DAY_ROUNDS = 60
    CLIENTS = 8
    CLIENTS_SECONDS = 60
    PAGES = {
      "garage" => "/garage",
      "timelines" => "/timelines",
      "vehicle" => "/vehicles/1",
      "findings" => "/vehicles/1/findings",
      "timeline" => "/vehicles/1/timeline",
      "wear" => "/axles/1/wear"
    }.freeze
    # Opened less often, and made of more.
    OTHERS = {
      "calendar" => "/calendar.ics",
      "inspection form" => "/vehicles/1/inspection-form",
      "brake data" => "/axles/1/brake-data",
      "job plan" => "/axles/1/job-plan",
      "risk by date" => "/vehicles/1/risk-by-date",
      "what if" => "/axles/1/what-if?limit_mm=4",
      "forecast quality" => "/axles/1/forecast-quality"
    }.freeze
    AIMS = { **PAGES.transform_values { 10 }, **OTHERS.transform_values { 20 }, "calendar" => 10 }.freeze
    BROWSER = { "Content-Type" => "application/json" }.freeze

    # sizes: readings of all vehicles; clients: whether to measure several at once too
    def initialize(sizes: SIZES, clients: true)
      @sizes = sizes
      @clients = clients
    end

    def print_to(out)
      out.sync = true
      @sizes.each { |size| Dir.mktmpdir { |folder| household(out, File.join(folder, "bench.sqlite3"), size) } }
    end

    private

    def household(out, path, size)
      axles = filled(path, size)
      on(path, 0) do |http, port, server|
        out.puts format(
                   "%d readings, %d vehicles: every page in %.0f s",
                   size,
                   FilledHousehold::VEHICLES,
                   every_page(http)
                 )
        warm(out, http)
        saves(out, http, axles)
        clients(out, port) if @clients
        out.puts format("  %-18s %6d MB (aim 300)", "memory, at most", Clock.memory_mb(server, "VmHWM"))
      end
      on(path, 1) { |http, *| next_day(out, http) }
    end

    # -> { vehicle id => id of its first axle }
    def filled(path, size)
      store = FilledHousehold.new(path, size).context.store
      store.vehicles.all.to_h { |vehicle| [vehicle.id, vehicle.axles.first.id] }
    ensure
      store&.close
    end

    def on(path, days)
      Server.on(path, "GRAVER_TODAY" => (FilledHousehold::TODAY + days).iso8601) do |port, server|
        Net::HTTP.start("127.0.0.1", port, read_timeout: 600) { |http| yield http, port, server }
      end
    end

    def warm(out, http)
      health = percentile { get(http, "/health") }
      { **PAGES, **OTHERS }.each do |page, path|
        taken = percentile { get(http, path) }
        out.puts format(
                   "  %-18s %6.1f x health (%.1f ms; aim %d x)",
                   page,
                   taken / health,
                   taken * 1000,
                   AIMS.fetch(page)
                 )
      end
    end

    # Each reading is of another vehicle: first out of the blue, then as the form does it, which asks what a reading
    # means while it is typed.
    def saves(out, http, axles)
      saved, after = Array.new(2) { [] }
      axles
        .first(SAVES + 1)
        .drop(1)
        .each do |vehicle, axle|
          saved << save(http, vehicle, axle)
          after << Clock.seconds { get(http, "/vehicles/#{vehicle}") }
        end
      told(out, "a reading saved", saved, 200)
      told(out, "page right after", after, 500)
      as_typed(out, http, axles.drop(SAVES + 1).first(SAVES))
    end

    def as_typed(out, http, axles)
      typed, saved = Array.new(2) { [] }
      axles.each do |vehicle, axle|
        get(http, "/vehicles/#{vehicle}/inspection-form")
        typed << save(http, vehicle, axle, "/preview")
        saved << save(http, vehicle, axle)
      end
      told(out, "a reading typed", typed, 500)
      told(out, "then saved", saved, 200)
    end

    def save(http, vehicle, axle, how = "")
      Clock.seconds { ok(http.post("/api/v1/vehicles/#{vehicle}/inspections#{how}", reading_of(axle), BROWSER)) }
    end

    def told(out, what, taken, aim)
      figures = { what:, median: median(taken) * 1000, slowest: taken.max * 1000, aim: }
      out.puts format("  %-18<what>s %6<median>.0f ms, slowest %<slowest>.0f (aim %<aim>d)", figures)
    end

    def reading_of(axle)
      JSON.generate(
        date: FilledHousehold::TODAY.iso8601,
        odometer: {
          value: "150000",
          unit: "km",
          keep: true
        },
        readings: [
          {
            axle:,
            part: "pad",
            side: "left",
            pad: "inner",
            event: "reading",
            method: "caliper",
            unit: "mm",
            values: ["5.5"],
            answer: "keep"
          }
        ]
      )
    end

    # What the first who looks waits, and what health takes while the work ahead is done beside.
    def next_day(out, http)
      first = Clock.seconds { get(http, "/garage") }
      health = Array.new(NEXT_DAY_ROUNDS) { Clock.seconds { get(http, "/health") }.tap { sleep 0.05 } }
      told(out, "garage, a new day", [first], 500)
      told(out, "health meanwhile", health, 20)
      told(out, "vehicle meanwhile", Array.new(5) { |at| Clock.seconds { get(http, "/vehicles/#{at + 10}") } }, 500)
    end

    # Several clients at once, each at pages of any vehicle, one writing now and then.
    def clients(out, port)
      deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + CLIENTS_SECONDS
      taken = Array.new(CLIENTS) { |at| Thread.new { client(port, at, deadline) } }.flat_map(&:value)
      out.puts format(
                 "  %d clients for %d s: %d answers, 95th percentile %.0f ms (aim 300), slowest %.0f ms " \
                   "(aim 1000), %d of them slower",
                 CLIENTS,
                 CLIENTS_SECONDS,
                 taken.length,
                 taken.sort[(taken.length * 0.95).floor] * 1000,
                 taken.max * 1000,
                 taken.count { |each| each > 1 }
               )
    end

    # -> seconds until each page of each vehicle has been answered
    def every_page(http)
      Clock.seconds do
        (1..FilledHousehold::VEHICLES).each { |vehicle| PAGES.each_value { |page| ok(http.get(at(page, vehicle))) } }
      end
    end

    # The same page of another vehicle.
    def at(page, vehicle)
      axle = (vehicle * 2) - 1
      "/api/v1#{page.sub(%r{/vehicles/\d+}, "/vehicles/#{vehicle}").sub(%r{/axles/\d+}, "/axles/#{axle}")}"
    end

    def client(port, number, deadline)
      random = Random.new(number)
      taken = []
      Net::HTTP.start("127.0.0.1", port) do |http|
        while Process.clock_gettime(Process::CLOCK_MONOTONIC) < deadline
          taken << Clock.seconds { ok(http.request(any_request(random, number, taken.length))) }
        end
      end
      taken
    end

    def any_request(random, number, at)
      vehicle = random.rand(1..FilledHousehold::VEHICLES)
      return renaming(vehicle, at) if number.zero? && (at % 20).zero?

      Net::HTTP::Get.new(at(PAGES.values.sample(random:), vehicle))
    end

    def renaming(vehicle, at)
      Net::HTTP::Patch
        .new("/api/v1/vehicles/#{vehicle}", "Content-Type" => "application/json")
        .tap { |change| change.body = JSON.generate(name: "Vehicle #{at}") }
    end

    def ok(response)
      status = response.code.to_i
      status.between?(200, 299) || raise("answered #{status}: #{response.body[0, 200]}")
    end

    def get(http, path) = ok(http.get("/api/v1#{path}"))

    # Without the first run, which fills the cache.
    def percentile(&block)
      yield
      Array.new(ROUNDS) { Clock.seconds(&block) }.sort[(ROUNDS * 0.95).floor]
    end

    def median(figures) = figures.sort[figures.length / 2]
  end
end
