# frozen_string_literal: true

module Graver
  module Core
    module Schedule
      # A trip that is planned: so many km between two days, on top of the usual driving; brakes wear `wear_factor`
      # times as fast on it as usual.
      Trip = Value.define(:from, :to, :km, :wear_factor)
    end
  end
end
