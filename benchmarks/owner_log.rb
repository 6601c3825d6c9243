# frozen_string_literal: true

module Benchmarks
  # What a simulated owner has written down: sets fitted, and pads read.
  class OwnerLog
    Entry = Graver::Core::Wear::Entry

    # entries: [Entry]; services: [[km, { pad => mm }], ...] of the set that is on; limit_mm, new_mm
    attr_reader :entries, :services, :limit_mm, :new_mm, :fitted_km, :days

    def initialize(limit_mm, new_mm)
      @limit_mm = limit_mm
      @new_mm = new_mm
      @entries = []
      @days = []
    end

    def fit(day, km)
      @fitted_km = km
      @services = []
      @days << [day, km]
      @entries << entry(day, km, "fit", nil, nil)
    end

    def read(day, km, found)
      @services << [km, found]
      @days << [day, km]
      found.each { |name, mm| @entries << entry(day, km, "reading", name, mm) }
    end

    def thinnest_mm = @services.last.last.values.min
    # When it was last known how thick they are.
    def last_km = @services.empty? ? fitted_km : @services.last.first

    # The points of a straight line: the thinnest pad of each service.
    def points = [[fitted_km, new_mm], *@services.map { |km, found| [km, found.values.min] }]

    private

    def entry(day, km, event, name, mm)
      side, pad = name&.split("_")
      Entry.new(
        date: day,
        odometer_km: km,
        part: "pad",
        side:,
        pad:,
        event:,
        reading: mm && reading(mm),
        trust: 1.0,
        ref: nil
      )
    end

    def reading(mm)
      Graver::Core::Measurement::Reading.new(
        part: "pad",
        method: "caliper",
        value: Graver::Core::Quantity::EnteredNumber.parse(format("%.2f", mm)),
        upper: nil,
        unit: "mm",
        overall: false
      )
    end
  end
end
