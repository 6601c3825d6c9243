# frozen_string_literal: true

module Graver
  module Core
    module Schedule
      # A change of driving from a day on: km_per_day (nil: unchanged), wearing brakes `wear_factor` times as fast.
      Change = Value.define(:from, :km_per_day, :wear_factor)
    end
  end
end
