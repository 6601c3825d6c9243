# frozen_string_literal: true

module Benchmarks
  # Seeded draws: the same seed gives the same draws.
  class Chance
    def initialize(seed) = @random = Random.new(seed)

    def between(low, high) = low + ((high - low) * @random.rand)
    def whole(low, high) = @random.rand(low..high)
    def pick(*choices) = choices.fetch(@random.rand(choices.length))
    def normal = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)

    # Michael, Schucany and Haas's method: of this mean, variance mean**3 / shape.
    def inverse_gaussian(mean, shape)
      y = normal**2
      ratio = mean / (2 * shape)
      x = mean + (ratio * ((mean * y) - Math.sqrt((4 * mean * shape * y) + ((mean * y)**2))))
      @random.rand <= mean / (mean + x) ? x : mean * mean / x
    end

    # Marsaglia and Tsang's method for a gamma variable of shape a (unit scale); small shapes by the usual power of a
    # uniform.
    def gamma(shape)
      return gamma(shape + 1) * (@random.rand**(1.0 / shape)) if shape < 1

      d = shape - (1 / 3.0)
      loop do
        x = normal
        v = (1 + (x / Math.sqrt(9 * d)))**3
        return d * v if v.positive? && Math.log(1 - @random.rand) < (0.5 * x * x) + d - (d * v) + (d * Math.log(v))
      end
    end
  end
end
