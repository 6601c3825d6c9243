# frozen_string_literal: true

require_relative "normal"
require_relative "wear_plan"

module Graver
  module Core
    module Wear
      # Follows one component through its readings, given the wear rate it has now, and says how likely the readings are.
      #
      # The thickness is carried as mean and variance. Between readings it falls by rate x distance; the variance grows
      # as in a gamma process (in proportion to the wear) and with how far the rate may then have differed from the rate
      # now. A reading is a mixture of "as its method promises" and "simply wrong". Whether the component once changed its
      # rate (a pin seized, a commute changed) is a further mixture, over the readings after which it may have happened.
      # Each mixture is collapsed to its mean and variance.
      class ComponentFilter
        State = Struct.new(:mean_mm, :variance, :log_likelihood, :doubts)

        # limit_mm: for a start that is not known; as_of_km: where the rate is "now"; freed_km: odometers at which the
        # corner was made free.
        def initialize(prior, limit_mm:, as_of_km:, freed_km: [])
          @prior = prior
          @limit_mm = limit_mm
          @as_of_km = as_of_km
          @freed_km = freed_km
          @plans = {}.compare_by_identity
        end

        # Fitting, rate in mm per km -> State at as_of_km; `doubts` has the chance of being wrong per reading.
        def call(fitting, rate)
          plan = @plans[fitting] ||= WearPlan.new(fitting, @prior, limit_mm: @limit_mm, as_of_km: @as_of_km, freed_km: @freed_km)
          followed = plan.suppositions.map { |share, variances| [follow(plan, variances, rate), share] }
          followed.length == 1 ? followed.first.first : merge(followed)
        end

        private

        def follow(plan, variances, rate)
          state = State.new(plan.start_mm, plan.start_variance, 0.0, [])
          plan.readings.each_with_index do |observation, at|
            wear(state, rate * plan.distances_km[at], variances[at])
            update(state, observation)
          end
          wear(state, rate * plan.distances_km.last, variances.last)
          state
        end

        def wear(state, worn, relative_variance)
          state.mean_mm -= worn
          state.variance += worn * (@prior.increment_mm + (worn * relative_variance))
        end

        def update(state, observation)
          thickness = observation.thickness
          likely, mean, variance = thickness.interval? ? interval(state, thickness) : point(state, thickness, 0.0)
          wrong, wrong_mean, wrong_variance = point(state, thickness, @prior.wrong_sd_mm)
          share = (1 - @prior.wrong_share) * observation.trust
          likely *= share
          wrong *= 1 - share
          total = likely + wrong + 1e-300
          weight = likely / total
          # the two cases, collapsed to one mean and variance
          apart = mean - wrong_mean
          state.mean_mm = wrong_mean + (weight * apart)
          state.variance = (weight * variance) + ((1 - weight) * wrong_variance) + (weight * (1 - weight) * apart * apart)
          state.log_likelihood += Math.log(total)
          state.doubts << (wrong / total)
        end

        # [density of the reading, thickness after it, its variance]; extra_sd: further error of a wrong reading.
        def point(state, thickness, extra_sd)
          error = thickness.standard_uncertainty_mm
          total = state.variance + (error * error) + (extra_sd * extra_sd)
          gain = state.variance / total
          residual = thickness.value_mm - state.mean_mm
          density = Math.exp(-0.5 * residual * residual / total) / (Math.sqrt(total) * Normal::ROOT_TWO_PI)
          [density, state.mean_mm + (gain * residual), state.variance * (1 - gain)]
        end

        # The bounds are blurred by their own error: condition the blurred thickness, then carry that back.
        def interval(state, thickness)
          total = state.variance + (thickness.edge_mm**2)
          mass, mean, variance = Normal.truncated(state.mean_mm, Math.sqrt(total), thickness.lower_mm, thickness.upper_mm)
          gain = state.variance / total
          [mass / (thickness.upper_mm - thickness.lower_mm),
           state.mean_mm + (gain * (mean - state.mean_mm)),
           (gain * gain * variance) + (state.variance * (1 - gain))]
        end

        # [[State, prior weight], ...] -> one State.
        def merge(weighted)
          best = weighted.map { |state, _| state.log_likelihood }.max
          weights = weighted.map { |state, share| share * Math.exp(state.log_likelihood - best) }
          total = weights.sum
          states = weighted.map(&:first)
          average = ->(values) { values.zip(weights).sum { |value, weight| value * weight } / total }
          mean = average.call(states.map(&:mean_mm))
          variance = average.call(states.map { |state| state.variance + ((state.mean_mm - mean)**2) })
          State.new(mean, variance, best + Math.log(total), states.map(&:doubts).transpose.map(&average))
        end
      end
    end
  end
end
