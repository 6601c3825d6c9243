# frozen_string_literal: true

require_relative "normal"

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
        # Changes further back than this many readings matter little for the rate now.
        LATEST_CHANGES = 3

        # limit_mm: for a start that is not known; as_of_km: where the rate is "now"; freed_km: odometers at which the
        # corner was made free.
        def initialize(prior, limit_mm:, as_of_km:, freed_km: [])
          @prior = prior
          @limit_mm = limit_mm
          @as_of_km = as_of_km
          @freed_km = freed_km
        end

        # Fitting, rate in mm per km -> State at as_of_km; `doubts` has the chance of being wrong per reading.
        def call(fitting, rate)
          changes = possible_changes(fitting)
          steady = follow(fitting, rate, nil)
          return steady if changes.empty? || @prior.change_share.zero?

          share = @prior.change_share / changes.length
          merge([[steady, 1 - @prior.change_share], *changes.map { |km| [follow(fitting, rate, km), share] }])
        end

        private

        def possible_changes(fitting)
          places = fitting.observations.map(&:distance_km).uniq
          (places[0...-1] || []).last(LATEST_CHANGES)
        end

        def follow(fitting, rate, changed_km)
          state, position = start(fitting)
          fitting.observations.each do |observation|
            wear(state, rate, position, observation.distance_km, changed_km)
            position = [position, observation.distance_km].max
            update(state, observation)
          end
          wear(state, rate, position, @as_of_km, changed_km)
          state
        end

        # With no known fitting the part was somewhere between new and its limit at the first reading.
        def start(fitting)
          unless fitting.fitted_km
            middle = (fitting.new.value_mm + @limit_mm) / 2.0
            spread = [(fitting.new.value_mm - @limit_mm).abs, 1.0].max
            return [State.new(middle, spread * spread, 0.0, []), fitting.observations.first&.distance_km || @as_of_km]
          end
          spread = fitting.new.standard_uncertainty_mm
          [State.new(fitting.new.value_mm, spread * spread, 0.0, []), fitting.fitted_km]
        end

        def wear(state, rate, from_km, to_km, changed_km)
          return unless to_km > from_km

          worn = rate * (to_km - from_km)
          state.mean_mm -= worn
          state.variance += (@prior.increment_mm * worn) + (worn * worn * rate_variance(from_km, to_km, changed_km))
        end

        # How differently (relative variance) the part may have worn between two odometers than at the rate now.
        def rate_variance(from_km, to_km, changed_km)
          lag_km = [@as_of_km - ((from_km + to_km) / 2.0), 0.0].max
          drift = (@prior.drift_log_sd**2) * (1 - Math.exp(-lag_km / @prior.drift_km))
          drift += @prior.change_log_sd**2 if changed_km && to_km <= changed_km
          @freed_km.empty? ? drift : drift + (@freed_km.count { |km| km >= to_km } * (@prior.freed_log_sd**2))
        end

        def update(state, observation)
          thickness = observation.thickness
          right = thickness.interval? ? interval(state, thickness) : point(state, thickness, 0.0)
          wrong = point(state, thickness, @prior.wrong_sd_mm)
          wrong_share = 1 - ((1 - @prior.wrong_share) * observation.trust)
          likely_right = (1 - wrong_share) * right[0]
          likely_wrong = wrong_share * wrong[0]
          total = likely_right + likely_wrong + 1e-300
          collapse(state, right, wrong, likely_right / total)
          state.log_likelihood += Math.log(total)
          state.doubts << (likely_wrong / total)
        end

        # [density of the reading, thickness after it, its variance]; extra_sd: further error of a wrong reading.
        def point(state, thickness, extra_sd)
          total = state.variance + (thickness.standard_uncertainty_mm**2) + (extra_sd**2)
          gain = state.variance / total
          residual = thickness.value_mm - state.mean_mm
          [Normal.density(residual, 0.0, Math.sqrt(total)), state.mean_mm + (gain * residual), state.variance * (1 - gain)]
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

        def collapse(state, right, wrong, weight)
          middle = (weight * right[1]) + ((1 - weight) * wrong[1])
          state.variance = (weight * (right[2] + ((right[1] - middle)**2))) +
                           ((1 - weight) * (wrong[2] + ((wrong[1] - middle)**2)))
          state.mean_mm = middle
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
