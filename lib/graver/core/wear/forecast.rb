# frozen_string_literal: true

require_relative "life"
require_relative "world"

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
        NEGLIGIBLE = 0.01

        def self.call(history, prior)
          return nil if history.sets.empty? || history.sets.last.empty?

          new(history, prior).result
        end

        def initialize(history, prior)
          @history = history
          @worlds = weigh(prior.worlds.map { |supposition| World.new(history, prior, supposition) })
          @distances = Survival.distances(@worlds.map { |world, _| world.reach_km }.max)
          @survivals = @worlds.map { |world, weight| [world.survival(@distances), weight] }
        end

        def result
          Result.new(first: life(&:first), components: each { |component| life { |survival| survival.component(component) } },
                     now: each { |component| now(component) }, rates: each { |component| rates(component) }, doubted:,
                     readings: current.values.sum { |fitting| fitting.observations.length },
                     unread: current.select { |_, fitting| fitting.observations.empty? }.keys, limit_mm: @history.limit_mm)
        end

        private

        # [[World, weight], ...] with weights that sum to one; those that explain next to nothing are left out.
        def weigh(worlds)
          best = worlds.map(&:log_weight).max
          weighed = worlds.map { |world| [world, Math.exp(world.log_weight - best)] }.select { |_, weight| weight > NEGLIGIBLE }
          total = weighed.sum { |_, weight| weight }
          weighed.map { |world, weight| [world, weight / total] }
        end

        def current = @history.sets.last
        def posterior = @worlds.first.first.posterior
        def each = current.keys.to_h { |component| [component, yield(component)] }

        def life
          curves = @survivals.map { |survival, weight| yield(survival).map { |chance| chance * weight } }
          Life.new(@distances, curves.transpose.map(&:sum))
        end

        # The mean over worlds and rates of what is asked of a component's state.
        def expected(component)
          @worlds.sum do |world, weight|
            rates = world.posterior.rate_weights(component)
            weight * world.posterior.states.fetch(component).each_with_index.sum { |state, at| rates[at].zero? ? 0.0 : rates[at] * yield(state) }
          end
        end

        def now(component)
          mean = expected(component, &:mean_mm)
          variance = expected(component) { |state| state.variance + ((state.mean_mm - mean)**2) }
          { mean_mm: [mean, 0.0].max, sd_mm: Math.sqrt(variance) }
        end

        def rates(component)
          weights = @worlds.map { |world, weight| world.posterior.rate_weights(component).map { |share| share * weight } }.transpose.map(&:sum)
          [0.1, 0.5, 0.9].map { |probability| 1000 * rate_quantile(weights, probability) }
        end

        def rate_quantile(weights, probability)
          total = 0.0
          at = weights.index { |weight| (total += weight) >= probability } || (weights.length - 1)
          posterior.grid.rate(posterior.grid.every_index.first + at)
        end

        def doubted
          current.flat_map do |component, fitting|
            fitting.observations.each_with_index.filter_map do |observation, at|
              chance = expected(component) { |state| state.doubts[at] }
              { ref: observation.ref, chance: } if chance > DOUBT_FROM
            end
          end
        end
      end
    end
  end
end
