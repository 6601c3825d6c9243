# frozen_string_literal: true

require "date"

module Benchmarks
  # Twenty vehicles with ten years of made-up pad readings: four pads an axle at each service, sets renewed at 3 mm.
  class FilledHousehold
    VEHICLES = 20
    FIRST_DAY = Date.new(2016, 5, 20)
    DAYS = 3650.0
    TODAY = Date.new(2026, 5, 16)

    # path: a file that is not there yet; readings: of all vehicles together; today: callable -> Date
    def initialize(path, readings, today: -> { TODAY })
      @context = Graver::Boot.context({ "GRAVER_DATABASE" => path }, today:, serving: Graver::Boot::SERVING)
      VEHICLES.times { |at| add_vehicle("Vehicle #{at}") }
      @context.store.vehicles.all.each { |vehicle| log(vehicle, readings / VEHICLES) }
    end

    # -> Graver::Service::Base::Context
    attr_reader :context

    private

    def add_vehicle(name)
      Graver::Service::Household::AddVehicle.new(@context).call({ name:, kind: "car", distance_unit: "km" })
    end

    def log(vehicle, readings)
      services = readings / 8
      inspections = Array.new(services) { |at| inspection(vehicle, at * DAYS / services) }
      @context.store.transaction { @context.store.inspections.add_many(inspections, at: @context.now) }
    end

    def inspection(vehicle, day)
      km = 20_000 + (day * 33)
      {
        vehicle_id: vehicle.id,
        date: FIRST_DAY + day.floor,
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
  end
end
