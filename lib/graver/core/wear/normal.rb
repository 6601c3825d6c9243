# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # The normal distribution, as far as the forecast needs it.
      module Normal
        ROOT_TWO = Math.sqrt(2)
        ROOT_TWO_PI = Math.sqrt(2 * Math::PI)

        module_function

        # -> density at x of a normal variable
        def density(x, mean, sd)
          z = (x - mean) / sd
          Math.exp(-0.5 * z * z) / (sd * ROOT_TWO_PI)
        end

        # -> chance that a standard normal variable is under z
        def cumulative(z) = 0.5 * Math.erfc(-z / ROOT_TWO)

        # Inverse of `cumulative` by bisection on erfc: slow, exact to 1e-12, used for a handful of fixed points.
        def quantile(probability)
          low, high = -10.0, 10.0
          80.times do
            middle = (low + high) / 2
            cumulative(middle) < probability ? low = middle : high = middle
          end
          (low + high) / 2
        end

        # Mean and variance of a normal variable known to lie between two bounds, and the chance of that.
        def truncated(mean, sd, lower, upper)
          a = (lower - mean) / sd
          b = (upper - mean) / sd
          mass = cumulative(b) - cumulative(a)
          return mass, mean.clamp(lower, upper), 1e-4 if mass < 1e-12

          pa = Math.exp(-0.5 * a * a) / ROOT_TWO_PI
          pb = Math.exp(-0.5 * b * b) / ROOT_TWO_PI
          shift = (pa - pb) / mass
          variance = sd * sd * (1 + (((a * pa) - (b * pb)) / mass) - (shift * shift))
          [mass, mean + (sd * shift), [variance, 1e-6].max]
        end
      end
    end
  end
end
