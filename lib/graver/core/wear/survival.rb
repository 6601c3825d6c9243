# frozen_string_literal: true

require_relative "normal"

module Graver
  module Core
    module Wear
      # The chance that a component, and the first of the axle's, is still above the limit after a distance from now.
      class Survival
        STEPS = 40
        NEGLIGIBLE = 1e-4

        # How far a curve has to go for a posterior: far enough that even slow wear of the thickest part reaches the limit
        # nearly surely.
        def self.reach_km(posterior, limit_mm)
          posterior.components.map do |component|
            index = slow_index(posterior.rate_weights(component))
            state = posterior.states.fetch(component)[index]
            left = [state.mean_mm + (2 * Math.sqrt(state.variance)) - limit_mm, 0.2].max
            left / posterior.grid.rate(posterior.grid.every_index.first + index)
          end.max * 1.6
        end

        def self.slow_index(weights)
          total = 0.0
          weights.index { |weight| (total += weight) > 0.01 }
        end
        private_class_method :slow_index

        # Distances in km, closer together near now.
        def self.distances(reach_km) = (0..STEPS).map { |step| reach_km * ((step.to_f / STEPS)**2) }

        def initialize(posterior, prior, limit_mm, distances)
          @posterior = posterior
          @prior = prior
          @limit_mm = limit_mm
          @worse = Math.exp(prior.change_log_sd)
          @distances = distances
          @rows = posterior.components.to_h { |component| [component, {}] }
          freeze
        end

        # Curves over `distances`: chance of being above the limit.
        def component(component) = falling(mix { |at| conditional(component, at) })

        def first
          falling(mix do |at|
            @posterior.components.map { |component| conditional(component, at) }.transpose.map { |chances| chances.reduce(:*) }
          end)
        end

        private

        # chance above the limit at each distance, at one rate of the grid
        def row(component, position)
          @rows.fetch(component)[position] ||= begin
            state = @posterior.states.fetch(component)[position]
            rate = @posterior.grid.rate(@posterior.grid.every_index.first + position)
            @distances.map { |distance| above(state, rate, distance) }
          end
        end

        # A component may yet change its rate on the way; only the change for the worse is reckoned with.
        def above(state, rate, distance)
          change = @prior.coming_change_share * (1 - Math.exp(-distance / @prior.drift_km))
          steady = steadily_above(state, rate, distance)
          return steady if change < NEGLIGIBLE || steady < NEGLIGIBLE

          ((1 - change) * steady) + (change * steadily_above(state, rate * @worse, distance))
        end

        def steadily_above(state, rate, distance)
          worn = rate * distance
          drift = (@prior.drift_log_sd**2) * (1 - Math.exp(-distance / (2.0 * @prior.drift_km)))
          variance = state.variance + (@prior.increment_mm * worn) + (worn * worn * drift)
          Normal.cumulative((state.mean_mm - worn - @limit_mm) / Math.sqrt(variance + 1e-9))
        end

        def conditional(component, at)
          sums = Array.new(@distances.length, 0.0)
          @posterior.deviation_weights(component, at).each_with_index do |weight, offset|
            next if weight < NEGLIGIBLE

            row(component, at + offset).each_with_index { |chance, step| sums[step] += weight * chance }
          end
          sums
        end

        def mix
          total = Array.new(@distances.length, 0.0)
          weights = 0.0
          @posterior.likely_rates.each do |at, weight|
            weights += weight
            yield(at).each_with_index { |chance, step| total[step] += weight * chance }
          end
          total.map { |chance| chance / weights }
        end

        # What is once below the limit stays below.
        def falling(chances)
          lowest = 1.0
          chances.map { |chance| lowest = [lowest, chance].min }
        end
      end
    end
  end
end
