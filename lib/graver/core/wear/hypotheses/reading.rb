# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Updates the hypotheses with a reading.
        module Reading
          # Updates with a reading of a component. wrong: { share:, sd_mm: } -> chance that it is wrong, per hypothesis
          def observe(component, thickness, wrong)
            at = thickness(component)
            across = @covariance[at, true, true] + @covariance[BIAS, true, true]
            variance = (across[at, true] + across[BIAS, true]).clip(1e-9, nil)
            mean = @mean[at, true] + @mean[BIAS, true]
            right = (error * thickness.standard_uncertainty_mm)**2
            told = normal(thickness.value_mm, mean, variance, pair(right, right + (wrong.fetch(:sd_mm)**2)))
            overwrite(told, between(thickness, mean, variance)) if thickness.interval?
            take_in(told, wrong.fetch(:share), across, variance)
          end

          # Normal variables cut off at two bounds, per hypothesis -> [chance of being between them; of the rest the
          # mean, in standard deviations from its own, and its variance as a share]
          def cut_off(mean, sd, lower, upper) = truncated((lower - mean) / sd, (upper - mean) / sd)

          private

          def pair(one, other)
            rows = Numo::DFloat.zeros(2, length)
            rows[0, true] = one
            rows[1, true] = other
            rows
          end

          # The update if it was read rightly.
          def overwrite(told, right) = told.zip(right) { |rows, values| rows[0, true] = values }

          # The update from a reading of a quantity, taken as right and as wrong (rows), with these variances [2,
          # hypothesis] -> [log likelihood, shift of its mean, its variance]
          def normal(value, mean, variance, spreads)
            totals = spreads + variance
            gains = variance / totals
            gap = value - mean
            likely = (gap * gap) / totals
            likely.inplace.+(NUMBERS.log(totals))
            likely.inplace.+(LOG_TWO_PI)
            likely.inplace.*(-0.5)
            [likely, gains * gap, spreads * gains]
          end

          # A truncated normal with blurred bounds.
          def between(thickness, mean, variance)
            blurred = variance + (thickness.edge_mm**2)
            sd = NUMBERS.sqrt(blurred)
            mass, shift, shrink =
              truncated(*[thickness.lower_mm, thickness.upper_mm].map { |bound| (bound - mean) / sd })
            regression = variance / blurred
            moved = (sd * shift).clip(thickness.lower_mm - mean - sd, thickness.upper_mm - mean + sd)
            [NUMBERS.log(mass), regression * moved, variance - (regression * regression * blurred * (1 - shrink))]
          end

          # A standard normal between two bounds: [chance, mean, variance]
          def truncated(low, high)
            mass = chance_between(low, high)
            low_density, high_density = [low, high].map { |z| NUMBERS.exp(-0.5 * z * z) / Math.sqrt(2 * Math::PI) }
            shift = (low_density - high_density) / mass
            [
              mass,
              shift,
              (1 + (((low * low_density) - (high * high_density)) / mass) - (shift * shift)).clip(0.01, 1.0)
            ]
          end

          # Uses the tail with the smaller numbers, so that far tails do not cancel to nothing.
          def chance_between(low, high)
            flip = Numo::DFloat.cast((low + high).gt(0))
            near = (low * (1 - flip)) - (high * flip)
            far = (high * (1 - flip)) - (low * flip)
            (0.5 * (NUMBERS.erfc(far / -ROOT_TWO) - NUMBERS.erfc(near / -ROOT_TWO))).clip(1e-12, nil)
          end

          # told: as of `normal`, for a quantity with this covariance with the unknowns (across) and this variance;
          # share: of readings that are wrong -> chance that it is, per hypothesis
          def take_in(told, share, across, variance)
            chances = chances_of(told[0], share)
            shifts, variances = told[1..].map { |rows| rows * chances }
            shift = shifts[0, true] + shifts[1, true]
            shifts.inplace.*(told[1])
            left = variances[0, true] + variances[1, true] + shifts[0, true] + shifts[1, true] - (shift * shift)
            regress(across / variance, shift, left - variance)
            chances[1, true]
          end

          # Of right and wrong (rows); their sum is the likelihood of the reading under each hypothesis.
          def chances_of(likely, share)
            likely[0, true].inplace.+(Math.log(1 - share))
            likely[1, true].inplace.+(Math.log(share + TINY))
            top = Numo::DFloat.maximum(likely[0, true], likely[1, true])
            likely.inplace.-(top)
            raised = NUMBERS.exp(likely)
            sum = raised[0, true] + raised[1, true]
            @log_weight += top + NUMBERS.log(sum)
            raised / sum
          end

          def regress(gain, shift, change)
            @mean.inplace.+(gain * shift)
            more = gain[true, :new, true] * (gain * change)[:new, true, true]
            @covariance.inplace.+(more)
            more.free
          end
        end
      end
    end
  end
end
