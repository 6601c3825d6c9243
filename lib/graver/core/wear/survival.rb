# frozen_string_literal: true

require_relative "normal"

module Graver
  module Core
    module Wear
      # The chance that a component, and the first of the axle's, is still above the limit after a distance from now.
      class Survival
        STEPS = 40
        NEGLIGIBLE = 1e-4

        def initialize(posterior, prior, limit_mm)
          @posterior = posterior
          @prior = prior
          @limit_mm = limit_mm
          @worse = Math.exp(prior.change_log_sd)
          @distances = reach
          @tables = posterior.components.to_h { |component| [component, table(component)] }
          freeze
        end

        attr_reader :distances

        # Curves over `distances`: chance of being above the limit.
        def component(component) = falling(mix { |at| conditional(component, at) })

        def first
          falling(mix do |at|
            @posterior.components.map { |component| conditional(component, at) }.transpose.map { |chances| chances.reduce(:*) }
          end)
        end

        private

        # Far enough that even slow wear of the thickest part reaches the limit nearly surely.
        def reach
          rates = @posterior.components.map { |component| [component, slow_rate(component)] }
          furthest = rates.map do |component, index|
            state = @posterior.states.fetch(component)[index]
            left = [state.mean_mm + (2 * Math.sqrt(state.variance)) - @limit_mm, 0.2].max
            left / @posterior.grid.rate(@posterior.grid.every_index.first + index)
          end.max * 1.6
          (0..STEPS).map { |step| furthest * ((step.to_f / STEPS)**2) }
        end

        def slow_rate(component)
          total = 0.0
          @posterior.rate_weights(component).each_with_index do |weight, index|
            total += weight
            return index if total > 0.01
          end
        end

        # chance above the limit, per grid rate and distance
        def table(component)
          @posterior.states.fetch(component).each_with_index.map do |state, position|
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

            row = @tables.fetch(component)[at + offset]
            row.each_with_index { |chance, step| sums[step] += weight * chance }
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
