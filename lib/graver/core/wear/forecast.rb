# frozen_string_literal: true

require_relative "axle_posterior"
require_relative "life"
require_relative "survival"

module Graver
  module Core
    module Wear
      # The forecast of one axle's pads or rotors: the seam behind which the method may change.
      #
      #   Forecast.call(history, prior) -> Result
      #
      # Result: `first` and `components` are Life; `now` is the believed thickness per component as mean and standard
      # deviation in mm; `rates` the believed wear in mm per 1,000 km as [10 %, 50 %, 90 %]; `doubted` the refs of
      # readings more likely wrong than right, each with that chance; `readings` the number used; `unread` the components
      # of the set that is on now which nobody has read.
      # Returns nil when there is nothing to start from (no set known).
      class Forecast
        Result = Value.define(:first, :components, :now, :rates, :doubted, :readings, :unread, :limit_mm)
        DOUBT_FROM = 0.5

        def self.call(history, prior)
          return nil if history.sets.empty? || history.sets.last.empty?

          new(history, prior).result
        end

        def initialize(history, prior)
          @history = history
          @posterior = AxlePosterior.new(history, prior)
          @survival = Survival.new(@posterior, prior, history.limit_mm)
        end

        def result
          Result.new(first: Life.new(@survival.distances, @survival.first), components: lives, now: each { |component| now(component) },
                     rates: each { |component| rates(component) }, doubted:, readings: current.values.sum { |fitting| fitting.observations.length },
                     unread: current.select { |_, fitting| fitting.observations.empty? }.keys,
                     limit_mm: @history.limit_mm)
        end

        private

        def current = @history.sets.last
        def each = @posterior.components.to_h { |component| [component, yield(component)] }
        def lives = each { |component| Life.new(@survival.distances, @survival.component(component)) }

        def now(component)
          states = @posterior.states.fetch(component)
          weights = @posterior.rate_weights(component)
          mean = weighted(states, weights, &:mean_mm)
          variance = weighted(states, weights) { |state| state.variance + ((state.mean_mm - mean)**2) }
          { mean_mm: [mean, 0.0].max, sd_mm: Math.sqrt(variance) }
        end

        def weighted(states, weights) = states.each_with_index.sum { |state, at| weights[at] * yield(state) }

        def rates(component)
          weights = @posterior.rate_weights(component)
          [0.1, 0.5, 0.9].map { |probability| 1000 * rate_quantile(weights, probability) }
        end

        def rate_quantile(weights, probability)
          total = 0.0
          at = weights.index { |weight| (total += weight) >= probability } || (weights.length - 1)
          @posterior.grid.rate(@posterior.grid.every_index.first + at)
        end

        def doubted
          current.flat_map do |component, fitting|
            states = @posterior.states.fetch(component)
            weights = @posterior.rate_weights(component)
            fitting.observations.each_with_index.filter_map do |observation, at|
              chance = weighted(states, weights) { |state| state.doubts[at] }
              { ref: observation.ref, chance: } if chance > DOUBT_FROM
            end
          end
        end
      end
    end
  end
end
