# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Which branches are worth carrying through a stretch, when what is read at its end is known already.
        module Foreseeing
          # A reading may be wrong, and several of one day have much in common: so much of what they say counts, and no
          # reading speaks louder than this many standard deviations.
          HEEDED = 0.7
          LOUDEST = 3.0

          # How well each branch would explain the readings [[component, Observation]] at the end of a stretch, roughly
          # (each reading by itself, its error as large as usual): a logarithm [case, supposition]. It decides what is
          # kept, never what is believed.
          def promise(changes, distance_km, readings, increment_mm)
            HEEDED *
              readings.sum do |component, observation|
                worn = worn_in(changes, component, distance_km)
                said(observation.thickness, component, worn, increment_mm)
              end
          end

          private

          # What the component loses on the stretch in each case: [mean, log variance]
          def worn_in(changes, component, distance_km)
            at = deviation(component)
            logs = @mean[at, true] + @mean[BASE, true] + @mean[DRIFT, true]
            spread = log_spread(at)
            shift, more, moment = changes.felt(at - 2)
            times = moment + ((1 - moment) * NUMBERS.exp(shift + (0.5 * more)))
            after = (1 - moment) * more
            [
              times[true, :new] * (NUMBERS.exp(logs + (0.5 * spread)) * distance_km)[:new, true],
              after[true, :new] + spread[:new, true]
            ]
          end

          def log_spread(at)
            pairs = [BASE, DRIFT, at].repeated_combination(2)
            pairs.sum { |one, other| @covariance[one, other, true] * (one == other ? 1 : 2) }.clip(0, MOST_LOG_VARIANCE)
          end

          def said(thickness, component, (worn, log_variance), increment_mm)
            at = thickness(component)
            tied = [BASE, DRIFT, deviation(component)].sum { |unknown| @covariance[at, unknown, true] }
            expected = @mean[at, true][:new, true] - worn
            variance = (worn * worn * (NUMBERS.exp(log_variance) - 1)) - (worn * tied[:new, true] * 2)
            variance += (worn * increment_mm) + @covariance[at, at, true][:new, true] + error_of(thickness)
            off = beyond(thickness, expected)
            total = variance.clip(1e-6, nil)
            -0.5 * ((off * off / total).clip(nil, LOUDEST * LOUDEST) + NUMBERS.log(total))
          end

          def error_of(thickness) = (thickness.interval? ? thickness.edge_mm : thickness.standard_uncertainty_mm)**2

          # How far outside of what was read: mm
          def beyond(thickness, expected)
            return expected - thickness.value_mm unless thickness.interval?

            expected - expected.clip(thickness.lower_mm, thickness.upper_mm)
          end
        end
      end
    end
  end
end
