# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Schedule
      # A trip that is planned: so many km between two days, on top of the usual driving; brakes wear `wear_factor` times as
      # fast on it as usual.
      Trip = Value.define(:from, :to, :km, :wear_factor)

      # From a day on the driving is another: km_per_day (nil: as much as now), wearing brakes `wear_factor` times as fast.
      Change = Value.define(:from, :km_per_day, :wear_factor)
    end
  end
end
