# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # Taking a reading in.
        module Reading
          # Takes a reading of a component in. wrong: { share:, sd_mm: } -> chance that it is wrong, per supposition
          def observe(component, thickness, wrong)
            at = thickness(component)
            across = @covariance[at, true, true] + @covariance[BIAS, true, true]
            variance = (across[at, true] + across[BIAS, true]).clip(1e-9, nil)
            mean = @mean[at, true] + @mean[BIAS, true]
            good = thickness.interval? ? between(thickness, mean, variance) : point(thickness, mean, variance, 0.0)
            bad = point(thickness, mean, variance, wrong.fetch(:sd_mm))
            chance, posterior_mean, posterior_variance = mix(good, bad, wrong.fetch(:share))
            regress(across / variance, posterior_mean - mean, posterior_variance - variance)
            chance
          end

          private

          # -> [log likelihood, mean, variance] of the read quantity after a normal reading
          def point(thickness, mean, variance, more_sd)
            normal(thickness.value_mm, mean, variance, ((thickness.standard_uncertainty_mm * error)**2) + (more_sd**2))
          end

          # The same of any quantity, read with this variance.
          def normal(value, mean, variance, spread)
            total = variance + spread
            gap = value - mean
            [
              -0.5 * ((gap * gap / total) + NUMBERS.log(total) + LOG_TWO_PI),
              mean + (variance / total * gap),
              variance * spread / total
            ]
          end

          # A truncated normal, its bounds blurred.
          def between(thickness, mean, variance)
            blurred = variance + (thickness.edge_mm**2)
            sd = NUMBERS.sqrt(blurred)
            mass, shift, shrink =
              truncated(*[thickness.lower_mm, thickness.upper_mm].map { |bound| (bound - mean) / sd })
            regression = variance / blurred
            moved = (sd * shift).clip(thickness.lower_mm - mean - sd, thickness.upper_mm - mean + sd)
            [
              NUMBERS.log(mass),
              mean + (regression * moved),
              variance - (regression * regression * blurred * (1 - shrink))
            ]
          end

          # Of a standard normal between two bounds: [chance, mean, variance]
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

          # The side of the curve with the smaller numbers is used, so that far tails do not cancel to nothing.
          def chance_between(low, high)
            flip = Numo::DFloat.cast((low + high).gt(0))
            near = (low * (1 - flip)) - (high * flip)
            far = (high * (1 - flip)) - (low * flip)
            (0.5 * (NUMBERS.erfc(far / -ROOT_TWO) - NUMBERS.erfc(near / -ROOT_TWO))).clip(1e-12, nil)
          end

          def mix(good, bad, share)
            likely = good[0] + Math.log(1 - share)
            wrong = bad[0] + Math.log(share + TINY)
            total = log_sum(likely, wrong)
            @log_weight += total
            chance = NUMBERS.exp(wrong - total)
            mean = (good[1] * (1 - chance)) + (bad[1] * chance)
            variance = ((good[2] + ((good[1] - mean)**2)) * (1 - chance)) + ((bad[2] + ((bad[1] - mean)**2)) * chance)
            [chance, mean, variance]
          end

          def regress(gain, shift, change)
            @mean += gain * shift
            @covariance += gain[true, :new, true] * (gain * change)[:new, true, true]
          end
        end
      end
    end
  end
end
