# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # Ordinary least squares through points, y = intercept + slope * x: the yardstick the forecast is measured by.
      # Raises ArgumentError with fewer than 2 different x.
      StraightLine =
        Value.define(:intercept, :slope, :residual_sd) do
          # points: [[x, y], ...]. residual_sd divides by n - 2 and is 0 for two points.
          def self.fit(points)
            count = points.length.to_f
            x_mean = points.sum { |x, _| x } / count
            y_mean = points.sum { |_, y| y } / count
            squares = points.sum { |x, _| (x - x_mean)**2 }
            unless squares.positive?
              raise ArgumentError, "a straight line requires 2 different places, got #{points.map(&:first).uniq.length}"
            end

            slope = points.sum { |x, y| (x - x_mean) * (y - y_mean) } / squares
            intercept = y_mean - (slope * x_mean)
            residuals = points.sum { |x, y| (y - intercept - (slope * x))**2 }
            new(intercept:, slope:, residual_sd: count > 2 ? Math.sqrt(residuals / (count - 2)) : 0.0)
          end

          # x at which the line reaches y, or nil when it never falls to it.
          def reaches(y) = slope.negative? ? (y - intercept) / slope : nil
        end
    end
  end
end
