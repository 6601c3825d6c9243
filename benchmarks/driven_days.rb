# frozen_string_literal: true

require "date"

module Benchmarks
  # When a simulated vehicle reached a distance: its pace varies from quarter to quarter around its own mean, as a
  # random walk with a pull back to it.
  class DrivenDays
    BEGUN = Date.new(2015, 1, 1)
    QUARTER = 91
    DRAWN_BACK = 0.85

    # law: World::Driving
    def initialize(law, seed)
      @chance = Chance.new((seed * 31) + 7)
      @law = law
      @usual = Math.log(law.km_per_day) + (law.log_sd * @chance.normal)
      @away = 0.0
      @ends_km = [0.0]
    end

    # Whole days; a distance driven at all takes some of them.
    def on(km) = BEGUN + days(km).floor

    private

    def days(km)
      drive_on while @ends_km.last <= km
      quarter = @ends_km.bsearch_index { |end_km| end_km > km }
      from, to = @ends_km[quarter - 1, 2]
      QUARTER * (quarter - 1 + ((km - from) / (to - from)))
    end

    def drive_on
      @away = (@away * DRAWN_BACK) + (@law.quarter_log_sd * @chance.normal)
      @ends_km << (@ends_km.last + (QUARTER * Math.exp(@usual + @away)))
    end
  end
end
