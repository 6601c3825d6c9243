# frozen_string_literal: true

module Graver
  module Core
    module BedIn
      # Temperatures of a rotor over a series of stops: the vehicle's lost kinetic energy becomes heat, evenly in the
      # whole rotor, and between stops the rotor cools towards the air temperature.
      module Temperatures
        # before, peak: degrees Celsius at the beginning and the end of a stop
        Stop = Value.define(:number, :before, :peak)

        module_function

        # series: Series; vehicle_kg; share: of the vehicle's braking that is this rotor's; rotor_kg; ambient: degrees
        # Celsius; heat: J/(kg K) of the rotor; into_rotor: share of the heat that does not stay in pads and wheels;
        # cooling_seconds: in which the difference to the air falls to 1/e -> [Stop]
        def call(series, vehicle_kg:, share:, rotor_kg:, ambient:, heat:, into_rotor:, cooling_seconds:)
          rise = energy(series, vehicle_kg) * share * into_rotor / (rotor_kg * heat)
          kept = Math.exp(-series.rest_seconds / cooling_seconds.to_f)
          over = 0.0
          (1..series.stops).map do |number|
            stop = Stop.new(number:, before: ambient + over, peak: ambient + over + rise)
            over = (over + rise) * kept
            stop
          end
        end

        # J the vehicle loses in one stop.
        def energy(series, vehicle_kg)
          from, to = [series.from_kmh, series.to_kmh].map { |kmh| kmh / 3.6 }
          vehicle_kg * ((from**2) - (to**2)) / 2
        end
      end
    end
  end
end
