# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # Wear rates on an even logarithmic grid, so that "axle rate times deviation" is again a point of the grid.
      class RateGrid
        STEP = 0.12
        AXLE_SPAN = 2.64      # logarithms to either side of the prior's median: a factor of 14
        DEVIATION_SPAN = 1.32 # a factor of nearly 4

        attr_reader :axle, :deviations

        # axle: indexes of axle rates; deviations: index offsets.
        def initialize(prior)
          @median = prior.rate_mm_per_1000km / 1000.0
          reach = (AXLE_SPAN / STEP).round
          side = (DEVIATION_SPAN / STEP).round
          @axle = (-reach..reach).to_a.freeze
          @deviations = (-side..side).to_a.freeze
        end

        def rate(index) = @median * Math.exp(index * STEP)
        def log(index) = index * STEP
        def every_index = ((@axle.first + @deviations.first)..(@axle.last + @deviations.last))

        # A normal distribution over a list of indexes, as weights that sum to one.
        def normal_weights(indexes, mean, sd)
          normalise(indexes.map { |index| Math.exp(-0.5 * (((log(index) - mean) / sd)**2)) })
        end

        # weights over `axle`, blurred by a normal of the given spread.
        def blur(weights, sd)
          reach = (3 * sd / STEP).ceil
          kernel = normal_weights((-reach..reach).to_a, 0.0, sd)
          normalise(weights.each_index.map do |at|
            (-reach..reach).sum { |offset| from(weights, at + offset) * kernel[offset + reach] }
          end)
        end

        def normalise(weights)
          total = weights.sum
          weights.map { |weight| weight / total }
        end

        private

        def from(weights, at) = at.negative? ? 0.0 : weights.fetch(at, 0.0)
      end
    end
  end
end
