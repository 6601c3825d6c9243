# frozen_string_literal: true

module Graver
  module Core
    module Schedule
      # From a day on the driving is another: km_per_day (nil: as much as now), wearing brakes `wear_factor` times as
      # fast.
      Change = Value.define(:from, :km_per_day, :wear_factor)
    end
  end
end
