# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Which branches are worth following through a stretch whose final readings are known.
        module Foreseeing
          # A reading may be wrong, and several of one day share errors: only this share of their evidence counts, and
          # no reading counts for more than this many standard deviations.
          HEEDED = 0.7
          LOUDEST = 3.0

          # How well each branch would explain the readings [[component, Observation]] at the end of a stretch, roughly
          # (each reading by itself, its error as large as usual): a logarithm [case, hypothesis], 0 without readings.
          # It decides what is kept, never what is believed.
          def lookahead_score(changes, distance_km, readings, increment_mm)
            return 0.0 if readings.empty?

            rows = readings.map { |component, _| components.index(component) }
            rates, spread = rates_of(rows)
            times, unsure = changes.felt(rows.map { |row| row + 1 })
            worn = times[true, true, :new] * (rates * distance_km)[true, :new, true]
            variance = NUMBERS.exp(unsure)[true, true, :new] * NUMBERS.exp(spread)[true, :new, true]
            explained(readings, rows, worn, vary(variance, rows, worn, increment_mm)).sum(axis: 0) * HEEDED
          end

          private

          # For the components of these rows: wear rate, mm per km, and the variance of its logarithm
          def rates_of(rows)
            ways = rows.map { |row| row + 3 }
            own = Numo::DFloat.vstack(ways.map { |at| @covariance[at, at, true] })
            tied = @covariance[BASE, ways, true] + @covariance[DRIFT, ways, true]
            common =
              @covariance[BASE, BASE, true] + @covariance[DRIFT, DRIFT, true] + (@covariance[BASE, DRIFT, true] * 2)
            spread = (own + (tied * 2) + common).clip(0, MOST_LOG_VARIANCE)
            [NUMBERS.exp(@mean[ways, true] + (@mean[BASE, true] + @mean[DRIFT, true]) + (spread * 0.5)), spread]
          end

          # The variance of the rest: of the wear, from exp(variance of the logarithm) (overwritten), the covariance of
          # thickness and rate, and the earlier uncertainty.
          def vary(variance, rows, worn, increment_mm)
            parts = rows.map { |row| row + 3 + components.length }
            ways = rows.map { |row| row + 3 }
            tied =
              Numo::DFloat.vstack(
                parts
                  .zip(ways)
                  .map do |part, way|
                    @covariance[part, BASE, true] + @covariance[part, DRIFT, true] + @covariance[part, way, true]
                  end
              )
            before = Numo::DFloat.vstack(parts.map { |part| @covariance[part, part, true] })
            variance.inplace.-(1)
            variance.inplace.*(worn)
            variance.inplace.+((increment_mm - (tied * 2))[true, :new, true])
            variance.inplace.*(worn)
            variance.inplace.+(before[true, :new, true])
            variance
          end

          # worn and variance are overwritten.
          def explained(readings, rows, worn, variance)
            seen = readings.map { |_, observation| observation.thickness }
            column = ->(values) { Numo::DFloat.cast(values)[true, :new, :new] }
            variance.inplace.+(column.call(seen.map { |thickness| error_of(thickness) }))
            variance.inplace.clip(1e-6, nil)
            worn.inplace.*(-1)
            worn.inplace.+(@mean[rows.map { |row| row + 3 + components.length }, true][true, :new, true])
            worn.inplace.-(worn.clip(*bounds(seen).map(&column)))
            worn.inplace.*(worn)
            worn.inplace./(variance)
            worn.inplace.clip(nil, LOUDEST * LOUDEST)
            (worn + NUMBERS.log(variance)) * -0.5
          end

          def error_of(thickness) = (thickness.interval? ? thickness.edge_mm : thickness.standard_uncertainty_mm)**2

          # The reading as its least and greatest value
          def bounds(seen)
            seen
              .map { |read| read.interval? ? [read.lower_mm, read.upper_mm] : [read.value_mm, read.value_mm] }
              .transpose
          end
        end
      end
    end
  end
end
