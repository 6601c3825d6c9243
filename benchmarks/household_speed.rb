# frozen_string_literal: true

require "json"
require "net/http"
require "rack"
require "tmpdir"
require_relative "clock"
require_relative "filled_household"
require_relative "server"

module Benchmarks
  # A household of twenty vehicles with 10,000 and with 100,000 readings: each page when nothing has changed, against
  # the health route in the same run; a reading saved, and the page right after it; a new day; memory; and eight clients
  # for a minute.
  class HouseholdSpeed
    SIZES = [10_000, 100_000].freeze
    ROUNDS = 40
    FEW_ROUNDS = 8
    SAVES = 5
    CLIENTS = 8
    CLIENTS_SECONDS = 60
    HOST = { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "127.0.0.1" }.freeze
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

    def print_to(out)
      out.sync = true
      SIZES.each { |size| Dir.mktmpdir { |folder| household(out, File.join(folder, "bench.sqlite3"), size) } }
    end

    private

    def household(out, path, size)
      today = FilledHousehold::TODAY
      context = FilledHousehold.new(path, size, today: -> { today }).context
      browser = Rack::MockRequest.new(Graver::Boot.rack(context))
      first = Clock.seconds { ok(browser.get("/api/v1/garage?all=1", HOST)) }
      out.puts format("%d readings, %d vehicles: garage from nothing in %.1f s", size, FilledHousehold::VEHICLES, first)
      warm(out, browser)
      saves(out, browser, context)
      today += 1
      next_day(out, browser)
      out.puts format("  %-18s %6d MB (aim 300)", "memory", Clock.memory_mb)
      context.store.close
      clients(out, path)
    end

    def warm(out, browser)
      health = percentile { ok(browser.get("/api/v1/health", HOST)) }
      { **PAGES, **OTHERS }.each do |page, path|
        taken = percentile(PAGES.key?(page) ? ROUNDS : FEW_ROUNDS) { ok(browser.get("/api/v1#{path}", HOST)) }
        out.puts format(
                   "  %-18s %6.1f x health (%.1f ms; aim %d x)",
                   page,
                   taken / health,
                   taken * 1000,
                   AIMS.fetch(page)
                 )
      end
    end

    # Each reading is of another vehicle.
    def saves(out, browser, context)
      saved, after = Array.new(2) { [] }
      SAVES.times do |at|
        saved << Clock.seconds { ok(save(browser, context, at + 2)) }
        after << Clock.seconds { ok(browser.get("/api/v1/vehicles/#{at + 2}", HOST)) }
      end
      out.puts format("  %-18s %6.0f ms (aim 200)", "a reading saved", median(saved) * 1000)
      out.puts format("  %-18s %6.0f ms (aim 500)", "page right after", median(after) * 1000)
    end

    def save(browser, context, vehicle_id)
      vehicle = context.store.vehicles.find(vehicle_id)
      given = {
        date: context.today.iso8601,
        odometer: {
          value: "150000",
          unit: "km",
          keep: true
        },
        readings: [
          {
            axle: vehicle.axles.first.id,
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
      }
      body = { :input => JSON.generate(given), "CONTENT_TYPE" => "application/json" }
      browser.post("/api/v1/vehicles/#{vehicle_id}/inspections", HOST.merge(body))
    end

    # What the first who looks waits, and all the work there is.
    def next_day(out, browser)
      first = Clock.seconds { ok(browser.get("/api/v1/garage", HOST)) }
      all = Clock.seconds { ok(browser.get("/api/v1/garage?all=1", HOST)) }
      out.puts format("  %-18s %6.0f ms, then %.1f s of work beside", "garage, a new day", first * 1000, all)
    end

    # Several clients at once on a separate server with warm caches, each at pages of any vehicle, one writing
    # now and then.
    def clients(out, path)
      Server.on(path, "GRAVER_TODAY" => FilledHousehold::TODAY.iso8601) do |port, server|
        out.puts format("  every page of every vehicle in %.0f s", Clock.seconds { every_page(port) })
        deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + CLIENTS_SECONDS
        taken = Array.new(CLIENTS) { |at| Thread.new { client(port, at, deadline) } }.flat_map(&:value)
        out.puts format(
                   "  %d clients for %d s: %d answers, 95th percentile %.0f ms (aim 300), slowest %.0f ms " \
                     "(aim 1000), %d of them slower; server at most %d MB (aim 300)",
                   CLIENTS,
                   CLIENTS_SECONDS,
                   taken.length,
                   taken.sort[(taken.length * 0.95).floor] * 1000,
                   taken.max * 1000,
                   taken.count { |each| each > 1 },
                   Clock.memory_mb(server, "VmHWM")
                 )
      end
    end

    def every_page(port)
      Net::HTTP.start("127.0.0.1", port, read_timeout: 600) do |http|
        (1..FilledHousehold::VEHICLES).each do |vehicle|
          PAGES.each_value { |page| ok(http.request(Net::HTTP::Get.new(at(page, vehicle)))) }
        end
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
      status = (response.respond_to?(:status) ? response.status : response.code).to_i
      status.between?(200, 299) || raise("answered #{status}: #{response.body[0, 200]}")
    end

    # Without the first run, which fills the cache.
    def percentile(rounds = ROUNDS, &block)
      yield
      Array.new(rounds) { Clock.seconds(&block) }.sort[(rounds * 0.95).floor]
    end

    def median(figures) = figures.sort[figures.length / 2]
  end
end
