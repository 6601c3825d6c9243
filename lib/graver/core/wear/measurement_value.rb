# frozen_string_literal: true

module Graver
  module Core
    module Wear
      # What is best measured next: by how much a reading would narrow the forecast of the axle's first part, on
      # average.
      #
      # Over the futures, distance is regressed on what the reading would show (thickness now plus its error): what a
      # reading explains of the spread it takes away. For a linear relation of normal variables that is exact.
      module MeasurementValue
        # positions: [component]; narrows: share of the 10 to 90 % width it would take off, 0 to 1; narrows_km of it
        Worth = Value.define(:positions, :method, :narrows, :narrows_km)

        module_function

        # Forecast::Result; methods: { "caliper" => standard uncertainty in mm } -> [Worth], the most useful first: each
        # position alone, and all of them at once.
        def rank(result, methods)
          futures = result.futures
          life = centred(futures.first_km)
          return [] unless (life**2).sum.positive?

          width = result.first.quantile(0.9) - result.first.quantile(0.1)
          choices = [*futures.components.zip, futures.components].uniq
          found =
            choices
              .product(methods.to_a)
              .map { |positions, (method, sd_mm)| worth(futures, life, width, positions, method, sd_mm) }
          found.sort_by { |worth| [-worth.narrows, worth.positions.length] }
        end

        def worth(futures, life, width, positions, method, sd_mm)
          rows = positions.map { |position| centred(futures.thickness_mm[futures.components.index(position), true]) }
          narrows = 1 - Math.sqrt((1 - explained(life, rows, sd_mm)).clamp(0.0, 1.0))
          Worth.new(positions:, method:, narrows:, narrows_km: narrows * width)
        end

        # Share of the spread of `life` that readings of `rows` explain.
        def explained(life, rows, sd_mm)
          shared = rows.map { |row| mean_product(row, life) }
          covariances =
            rows.each_with_index.map do |row, at|
              rows.each_with_index.map { |other, to| mean_product(row, other) + (at == to ? sd_mm**2 : 0.0) }
            end
          solve(covariances, shared).zip(shared).sum { |factor, covariance| factor * covariance } /
            mean_product(life, life)
        end

        def mean_product(one, other) = (one * other).sum / one.length

        # Linear equations by Gauss and Jordan; a matrix of covariances needs no exchange of rows.
        def solve(matrix, right)
          system = matrix.zip(right).map { |row, value| [*row, value] }
          system.each_index do |pivot|
            line = system[pivot].map { |value| value / system[pivot][pivot] }
            system.each_index do |at|
              system[at] = (
                if at == pivot
                  line
                else
                  system[at].zip(line).map { |mine, its| mine - (system[at][pivot] * its) }
                end
              )
            end
          end
          system.map(&:last)
        end

        def centred(values) = values - values.mean

        private_class_method :worth, :explained, :mean_product, :solve, :centred
      end
    end
  end
end
