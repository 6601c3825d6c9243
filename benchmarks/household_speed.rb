# frozen_string_literal: true

require "json"
require "net/http"
require "rack"
require "tmpdir"
require_relative "clock"
require_relative "server"

module Benchmarks
  # Pages of a household of twenty vehicles, against the health route in the same run: with 10,000 and with 100,000
  # readings. Warm (nothing changed) as the 95th percentile, and after one reading more of one vehicle.
  class HouseholdSpeed
    VEHICLES = 20
    SIZES = [10_000, 100_000].freeze
    ROUNDS = 40
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

    def print_to(out)
      out.sync = true
      warm = SIZES.to_h { |size| [size, Dir.mktmpdir { |folder| pages(out, folder, size) }] }
      PAGES.each_key do |page|
        small, large = SIZES.map { |size| warm[size][page] }
        out.puts format("%-10s %d readings against %d: %.2f (aim 1.2)", page, SIZES.last, SIZES.first, large / small)
      end
    end

    private

    # -> { page => warm seconds }
    def pages(out, folder, size)
      context = filled(folder, size)
      browser = Rack::MockRequest.new(Graver::Boot.rack(context))
      first = Clock.seconds { ok(browser.get("/api/v1/garage", HOST)) }
      out.puts format("%d readings, %d vehicles: garage worked out from nothing in %.1f s", size, VEHICLES, first)
      health = percentile { browser.get("/api/v1/health", HOST) }
      warm = PAGES.transform_values { |path| percentile { ok(browser.get("/api/v1#{path}", HOST)) } }
      warm.each do |page, taken|
        out.puts format("  %-10s %5.1f x health (%.1f ms; aim 10 x)", page, taken / health, taken * 1000)
      end
      one_more(context)
      again = Clock.seconds { ok(browser.get("/api/v1/garage", HOST)) }
      out.puts format(
                 "  garage after one reading more: %.0f ms; memory %d MB (aim under 400)",
                 again * 1000,
                 Clock.memory_mb
               )
      context.store.close
      clients(out, context_path(folder)) if size == SIZES.last
      warm
    end

    def context_path(folder) = File.join(folder, "bench.sqlite3")

    # Several clients at once on a separate server with warm caches, each at pages of any vehicle, one writing
    # now and then.
    def clients(out, path)
      Server.on(path, "GRAVER_TODAY" => "2026-05-16") do |port, server|
        out.puts format("every page of every vehicle worked out in %.0f s", Clock.seconds { every_page(port) })
        deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + CLIENTS_SECONDS
        taken = Array.new(CLIENTS) { |at| Thread.new { client(port, at, deadline) } }.flat_map(&:value)
        out.puts format(
                   "%d clients for %d s: %d answers, 95th percentile %.0f ms, slowest %.0f ms (aim under 1000), " \
                     "%d of them slower; server at most %d MB (aim under 400)",
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
        (1..VEHICLES).each do |vehicle|
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
      vehicle = random.rand(1..VEHICLES)
      return renaming(vehicle, at) if number.zero? && (at % 20).zero?

      Net::HTTP::Get.new(at(PAGES.values.sample(random:), vehicle))
    end

    def renaming(vehicle, at)
      Net::HTTP::Patch
        .new("/api/v1/vehicles/#{vehicle}", "Content-Type" => "application/json")
        .tap { |change| change.body = JSON.generate(name: "Vehicle #{at}") }
    end

    def filled(folder, size)
      context = Graver::Boot.context({ "GRAVER_DATABASE" => context_path(folder), "GRAVER_TODAY" => "2026-05-16" })
      VEHICLES.times do |at|
        Graver::Service::Household::AddVehicle.new(context).call(
          { name: "Vehicle #{at}", kind: "car", distance_unit: "km" }
        )
      end
      context.store.vehicles.all.each { |vehicle| log(context, vehicle, size / VEHICLES) }
      context
    end

    # Four pads an axle at each service, sets renewed at 3 mm.
    def log(context, vehicle, readings)
      services = readings / 8
      step_days = 3650.0 / services
      inspections =
        Array.new(services) do |at|
          day = Date.new(2016, 5, 20) + (at * step_days).floor
          km = 20_000 + (at * step_days * 33)
          {
            vehicle_id: vehicle.id,
            date: day,
            odometer: {
              value: km.round.to_s,
              unit: "km",
              km:
            },
            note: nil,
            import_id: nil,
            readings: rows(vehicle, km)
          }
        end
      context.store.transaction { context.store.inspections.add_many(inspections, at: context.now) }
    end

    def rows(vehicle, km)
      value = format("%.1f", 11 - ((km % 40_000) / 5000.0))
      vehicle.axles.flat_map do |axle|
        axle
          .sides
          .product(%w[inner outer])
          .map do |side, pad|
            {
              axle_id: axle.id,
              event: "reading",
              part: "pad",
              side:,
              pad:,
              place: 1,
              method: "caliper",
              value:,
              unit: "mm",
              overall: false
            }
          end
      end
    end

    def one_more(context)
      vehicle = context.store.vehicles.all.first
      inspection = {
        vehicle_id: vehicle.id,
        date: Date.new(2026, 5, 15),
        odometer: {
          value: "160000",
          unit: "km",
          km: 160_000.0
        },
        note: nil,
        import_id: nil,
        readings: rows(vehicle, 160_000.0)
      }
      context.store.transaction { context.store.inspections.add_many([inspection], at: context.now) }
    end

    def ok(response)
      status = (response.respond_to?(:status) ? response.status : response.code).to_i
      status == 200 || raise("answered #{status}: #{response.body[0, 200]}")
    end
    # Without the first run, which fills the cache.
    def percentile(&block)
      yield
      Array.new(ROUNDS) { Clock.seconds(&block) }.sort[(ROUNDS * 0.95).floor]
    end
  end
end
