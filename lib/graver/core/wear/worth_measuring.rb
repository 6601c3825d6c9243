# frozen_string_literal: true

require "numo/narray"
require_relative "../value"

module Graver
  module Core
    module Wear
      # What is best measured next: by how much a reading would narrow the forecast of the axle's first part, on average.
      #
      # Over the futures, distance is regressed on what the reading would show (thickness now plus its error): what a
      # reading explains of the spread it takes away. For a linear relation of normal variables that is exact.
      module WorthMeasuring
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
          choices = [*futures.components.map { |component| [component] }, futures.components].uniq
          choices.product(methods.to_a).map { |positions, (method, sd_mm)| worth(futures, life, width, positions, method, sd_mm) }.sort_by { |worth| [-worth.narrows, worth.positions.length] }
        end

        def worth(futures, life, width, positions, method, sd_mm)
          rows = positions.map { |position| centred(futures.thickness_mm[futures.components.index(position), true]) }
          narrows = 1 - Math.sqrt((1 - explained(life, rows, sd_mm)).clamp(0.0, 1.0))
          Worth.new(positions:, method:, narrows:, narrows_km: narrows * width)
        end

        # Share of the spread of `life` that readings of `rows` explain: Gauss-Jordan on their covariances, the error added.
        def explained(life, rows, sd_mm)
          count = life.length
          system = rows.each_with_index.map { |row, at| [*rows.each_with_index.map { |other, to| ((row * other).sum / count) + (at == to ? sd_mm**2 : 0.0) }, (row * life).sum / count] }
          rows.each_index do |pivot|
            system[pivot] = system[pivot].map { |value| value / system[pivot][pivot] }
            system.each_with_index { |line, at| system[at] = line.zip(system[pivot]).map { |mine, its| mine - (line[pivot] * its) } unless at == pivot }
          end
          rows.each_with_index.sum { |row, at| system[at].last * ((row * life).sum / count) } / ((life**2).sum / count)
        end

        def centred(values) = values - values.mean

        private_class_method :worth, :explained, :centred
      end
    end
  end
end
