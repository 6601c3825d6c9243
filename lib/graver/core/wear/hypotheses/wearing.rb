# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      class Hypotheses
        # How thicknesses fall, and what that tells about rates.
        module Wearing
          # Wears the components over a distance (km, per hypothesis; on is 1 or 0 per component, 0 if it is not
          # fitted). increment_mm: variance of wear over its mean; common: the share of it they have in common. Means
          # and covariances of the exponentials of normal rates are exact.
          def wear(distance_km, increment_mm, common, on: Numo::DFloat.ones(components.length))
            count = components.length
            rates, parts = 0...(3 + count), (3 + count)...size
            across = across(count)
            between =
              across[true, 3...(3 + count), true] +
                (across[true, BASE, true] + across[true, DRIFT, true])[true, :new, true]
            own = own(between)
            worn = expected(own) * distance_km * on[true, :new]
            @mean[parts, true].inplace.-(worn)
            to_rates = across[true, rates, true] * worn[true, :new, true]
            @covariance[parts, rates, true].inplace.-(to_rates)
            @covariance[rates, parts, true].inplace.-(to_rates.transpose(1, 0, 2))
            crossed = across[true, parts, true] * worn[true, :new, true]
            thicknesses = @covariance[parts, parts, true]
            thicknesses.inplace.+(unevenness(worn, between, increment_mm, common))
            thicknesses.inplace.-(crossed)
            thicknesses.inplace - crossed.transpose(1, 0, 2)
          end

          # More spread of the wear on a stretch, the same for all components: its standard deviation, mm [component,
          # hypothesis].
          def spread_wear(sd_mm, on)
            sd_mm *= on[true, :new]
            parts = (3 + components.length)...size
            @covariance[parts, parts, true].inplace.+(sd_mm[true, :new, true] * sd_mm[:new, true, true])
          end

          # Median wear rate of each component, mm per km [component, hypothesis]
          def expected_rates = NUMBERS.exp(log_means)

          private

          # Covariance of the logarithm of each component's rate with every unknown [component, unknown, hypothesis]
          def across(count)
            own = @covariance[3...(3 + count), true, true]
            own + (@covariance[BASE, true, true] + @covariance[DRIFT, true, true])[:new, true, true]
          end

          def log_means
            @mean[3...(3 + components.length), true] + (@mean[BASE, true] + @mean[DRIFT, true])[:new, true]
          end

          # The variance of the logarithm of each component's rate.
          def own(between)
            between.diagonal([0, 1]).transpose.clip(0, MOST_LOG_VARIANCE)
          end

          def expected(own) = NUMBERS.exp(log_means + (0.5 * own))

          # The covariance that wear adds to thicknesses: unknown rates, and varying increments.
          def unevenness(worn, between, increment_mm, common)
            spread = NUMBERS.exp(between.clip(-MOST_LOG_VARIANCE, MOST_LOG_VARIANCE))
            spread.inplace.-(1)
            spread.inplace.*(worn[true, :new, true] * worn[:new, true, true])
            roots = NUMBERS.sqrt(worn)
            spread.inplace.+((roots * (increment_mm * common))[true, :new, true] * roots[:new, true, true])
            spread.diagonal([0, 1]).transpose.inplace.+(worn * (increment_mm * (1 - common)))
            spread
          end
        end
      end
    end
  end
end
