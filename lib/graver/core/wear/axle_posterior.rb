# frozen_string_literal: true

require_relative "component_filter"
require_relative "rate_grid"

module Graver
  module Core
    module Wear
      # What the readings say of the axle's wear rate, of each component's own deviation from it, and of each
      # component's thickness now: Bayes on a grid of rates, the components sharing the axle's rate.
      class AxlePosterior
        NEGLIGIBLE = 5e-4

        # log_evidence: how well the prior explains all readings, up to a constant of the history.
        attr_reader :grid, :axle_weights, :states, :log_evidence

        def initialize(history, prior)
          @history = history
          @prior = prior
          @grid = RateGrid.new(prior)
          @axle_weights = grid.normal_weights(grid.axle, 0.0, prior.rate_log_sd)
          @log_evidence = 0.0
          history.sets.each_with_index { |set, at| learn(set, last: at == history.sets.length - 1) }
        end

        def components = @states.keys

        # Axle rates that still matter: [[position in grid.axle, weight], ...].
        def likely_rates
          most = axle_weights.max
          @likely_rates ||= axle_weights.each_with_index.filter_map { |weight, at| [at, weight] if weight > most * NEGLIGIBLE }
        end

        # Weights over grid.deviations for one component, given the axle rate at a position of grid.axle.
        def deviation_weights(component, at)
          (@deviation_weights ||= {})[[component, at]] ||= weigh_deviations(component, at)
        end

        # Weights of one component's own rate over all grid indexes (position 0 is the slowest).
        def rate_weights(component)
          (@rate_weights ||= {})[component] ||= weigh_rates(component)
        end

        private

        def weigh_deviations(component, at)
          likelihoods = @likelihoods.fetch(component)
          weights = deviation_prior(component).each_with_index.map { |weight, offset| weight * likelihoods[at + offset] }
          total = weights.sum
          total.positive? ? weights.map { |weight| weight / total } : deviation_prior(component)
        end

        def weigh_rates(component)
          totals = Array.new(grid.every_index.size, 0.0)
          likely_rates.each do |at, weight|
            deviation_weights(component, at).each_with_index { |share, offset| totals[at + offset] += weight * share }
          end
          grid.normalise(totals)
        end

        def learn(set, last:)
          as_of_km = last ? @history.as_of_km : last_seen_km(set)
          filter = ComponentFilter.new(@prior, limit_mm: @history.limit_mm, as_of_km:, freed_km: @history.freed_km)
          @states = set.transform_values { |fitting| grid.every_index.map { |index| filter.call(fitting, grid.rate(index)) } }
          @likelihoods = states.transform_values { |states| relative_likelihoods(states) }
          explained = weigh(axle_weights)
          @log_evidence += Math.log(explained.sum + 1e-300) + states.values.sum { |list| list.map(&:log_likelihood).max }
          @axle_weights = grid.normalise(explained)
          @axle_weights = grid.blur(axle_weights, @prior.set_log_sd) unless last
        end

        def last_seen_km(set)
          set.values.flat_map { |fitting| [fitting.fitted_km, *fitting.observations.map(&:distance_km)] }.compact.max || @history.as_of_km
        end

        def relative_likelihoods(states)
          best = states.map(&:log_likelihood).max
          states.map { |state| Math.exp(state.log_likelihood - best) }
        end

        def weigh(weights)
          weights.each_with_index.map do |weight, at|
            @likelihoods.reduce(weight) do |product, (component, likelihoods)|
              product * deviation_prior(component).each_with_index.sum { |share, offset| share * likelihoods[at + offset] }
            end
          end
        end

        # Most components stay near the axle's rate; a few are stuck and go far from it.
        def deviation_prior(component)
          @deviation_priors ||= {}
          @deviation_priors[component] ||= begin
            mean = @prior.component_log_offset.fetch(component, 0.0)
            near = grid.normal_weights(grid.deviations, mean, @prior.deviation_log_sd)
            far = grid.normal_weights(grid.deviations, mean, @prior.stuck_log_sd)
            near.zip(far).map { |n, f| ((1 - @prior.stuck_share) * n) + (@prior.stuck_share * f) }
          end
        end
      end
    end
  end
end
