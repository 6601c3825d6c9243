# frozen_string_literal: true

module Benchmarks
  # The life a spreadsheet gives: least squares on the thinnest pad, its usual prediction interval turned round. With
  # two points there is no interval, and every quantile is the crossing itself.
  class StraightLineLife
    FURTHEST_KM = 500_000.0

    # points: [[km, mm], ...]; -> { probability => km from as_of }
    def self.call(points, as_of_km, limit_mm)
      new(points, as_of_km, limit_mm).quantiles
    end

    def initialize(points, as_of_km, limit_mm)
      @points = points
      @as_of_km = as_of_km
      @limit_mm = limit_mm
      @line = Graver::Core::Wear::StraightLine.fit(points)
      @mean = points.sum { |x, _| x } / points.length
      @squares = points.sum { |x, _| (x - @mean)**2 }
    end

    def quantiles
      Graver::Core::Wear::RemainingLife::PROBABILITIES.to_h { |probability| [probability, at(probability)] }
    end

    private

    def at(probability)
      return crossing if @points.length < 3

      low, high = 0.0, FURTHEST_KM
      return 0.0 if chance(0.0) >= probability

      40.times do
        middle = (low + high) / 2
        chance(middle) < probability ? low = middle : high = middle
      end
      low
    end

    def crossing = ((@line.reaches(@limit_mm) || FURTHEST_KM) - @as_of_km).clamp(0.0, FURTHEST_KM)

    # Chance of being under the limit after a distance: Student's t with n - 2 degrees of freedom.
    def chance(distance_km)
      x = @as_of_km + distance_km
      spread = [@line.residual_sd, 1e-6].max * Math.sqrt(1 + (1.0 / @points.length) + (((x - @mean)**2) / @squares))
      student((@limit_mm - @line.intercept - (@line.slope * x)) / spread, @points.length - 2)
    end

    # Exact for 1 and 2 degrees of freedom; beyond, Hill's normal approximation.
    def student(t, freedom)
      return 0.5 + (Math.atan(t) / Math::PI) if freedom == 1
      return 0.5 + (t / (2 * Math.sqrt(2 + (t * t)))) if freedom == 2

      a = freedom - 0.5
      z = Math.sqrt(a * Math.log(1 + (t * t / freedom))) * (t.negative? ? -1 : 1)
      Graver::Core::Wear::Normal.cumulative(z * (1 - (3 / (4.0 * freedom * freedom))))
    end
  end
end
