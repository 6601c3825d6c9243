# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # A bank of suppositions about one axle, each a normal distribution over the same unknowns, with a weight.
      #
      # The unknowns: `base` (logarithm of the axle's lasting wear rate, mm per km), `drift` (how it differs just
      # now), `bias` (a common error of everything read at one service), and for each component its `deviation`
      # (logarithm) and
      # thickness in mm.
      # All suppositions are carried at once, as arrays: means [unknown, supposition], covariances [unknown, unknown,
      # supposition].
      #
      # Thickness falls by distance x exp(base + drift + deviation): mean, variance and covariances of that are exact
      # for normal logarithms. Readings are taken in one after the other; whatever distribution of the read quantity
      # results is
      # reduced to its mean and variance and carried over to the other unknowns by regression (assumed-density
      # filtering).
      class Hypotheses
        BASE = 0
        DRIFT = 1
        BIAS = 2
        NUMBERS = Numo::DFloat::Math
        LOG_TWO_PI = Math.log(2 * Math::PI)
        TINY = 1e-300
        ROOT_TWO = Math.sqrt(2)
        # Logarithms of rates are normal; beyond this spread the exponential of one says nothing more.
        MOST_LOG_VARIANCE = 2.0
        # Copying the arrays costs as much as carrying some suppositions on that hardly count.
        WORTH_SHRINKING = 0.75

        attr_reader :components, :mean, :covariance, :log_weight, :marks, :drift_sd, :drift_km

        # means [unknown][supposition], variances likewise (independent at first), log weights, drifts [[log_sd, km]]
        # per supposition.
        def initialize(components, means, variances, log_weights, drifts)
          @components = components
          @mean = Numo::DFloat.cast(means)
          @covariance = Numo::DFloat.zeros(size, size, log_weights.length)
          size.times { |at| @covariance[at, at, true] = variances[at] }
          @log_weight = Numo::DFloat.cast(log_weights)
          @drift_sd, @drift_km = drifts.transpose.map { |list| Numo::DFloat.cast(list) }
          @marks = {}
        end

        def size = 3 + (2 * components.length)
        def length = log_weight.length
        def deviation(component) = 3 + components.index(component)
        def thickness(component) = 3 + components.length + components.index(component)

        # Weights that sum to one.
        def weights
          raised = NUMBERS.exp(log_weight - log_weight.max)
          raised / raised.sum
        end

        # Keeps the chosen suppositions, in the order given; an index given twice makes a copy.
        def select(indexes)
          at = Numo::Int32.cast(indexes)
          @mean = @mean[true, at].dup
          @covariance = @covariance[true, true, at].dup
          @log_weight, @drift_sd, @drift_km = [@log_weight, @drift_sd, @drift_km].map { |list| list[at].dup }
          @marks.transform_values! { |list| list[at].dup }
        end

        # Keeps the `most` weightiest, without those next to impossible.
        def prune(most, negligible: 1e-5)
          keep = weightiest(log_weight, most, negligible)
          select(keep) if keep.length < WORTH_SHRINKING * length
        end

        # Each supposition becomes several: log_chances holds one array of log chances per case (or a number for all).
        # The weightiest are kept. -> the number of the case, per supposition.
        def branch(log_chances, most, negligible: 1e-5)
          weights = Numo::DFloat.hstack(log_chances.map { |chance| log_weight + chance })
          keep = weightiest(weights, most, negligible)
          cases = keep / length
          select(keep % length)
          @log_weight = weights[keep].dup
          cases
        end

        # Remembers, per supposition, the chance that something is so (a reading is wrong); follows copies and pruning.
        def mark(key, chances) = @marks[key] = chances

        # One unknown of some (mask of 0 and 1, or all) moves by `shift` and gets `variance` more.
        def disturb(unknown, variance, shift: 0.0, mask: 1.0)
          @mean[unknown, true] += mask * shift
          @covariance[unknown, unknown, true] += mask * variance
        end

        # Several unknowns get one more error in common.
        def join(unknowns, variance)
          unknowns.product(unknowns).each { |one, other| @covariance[one, other, true] += variance }
        end

        # Forgets what was known of an unknown.
        def restart(unknown, mean, variance)
          recall(unknown, 0.0, 0.0)
          @mean[unknown, true] = mean
          @covariance[unknown, unknown, true] = variance
        end

        # The unknown falls back towards `mean`: what is kept of it is the share `kept`; `variance` is added.
        def recall(unknown, kept, variance, mean: 0.0)
          @mean[unknown, true] = (@mean[unknown, true] * kept) + (mean * (1 - kept))
          @covariance[unknown, true, true] *= kept
          @covariance[true, unknown, true] *= kept
          @covariance[unknown, unknown, true] += variance
        end

        # The drift loses its memory over a distance (Ornstein-Uhlenbeck process).
        def drift(distance_km)
          kept = NUMBERS.exp(-distance_km / @drift_km)
          recall(DRIFT, kept, (@drift_sd**2) * (1 - (kept**2)))
        end

        # Logarithm of a component's rate now: [mean, variance, covariance with every unknown].
        def log_rate(component)
          parts = [BASE, DRIFT, deviation(component)]
          across = @covariance[BASE, true, true] + @covariance[DRIFT, true, true] + @covariance[parts.last, true, true]
          [
            parts.sum { |part| @mean[part, true] },
            parts.sum { |part| across[part, true] }.clip(0, MOST_LOG_VARIANCE),
            across
          ]
        end

        # The component wears over a distance; `increment_mm` is the gamma process's scale. -> expected wear, mm
        def wear(component, distance_km, increment_mm)
          log_mean, log_variance, across = log_rate(component)
          worn = NUMBERS.exp(log_mean + (0.5 * log_variance)) * distance_km
          at = thickness(component)
          change = across * worn
          @mean[at, true] -= worn
          @covariance[at, true, true] -= change
          @covariance[true, at, true] -= change
          @covariance[at, at, true] += (worn * worn * (NUMBERS.exp(log_variance) - 1)) + (increment_mm * worn)
          worn
        end

        # Takes a reading of a component in. wrong: { share:, sd_mm: } -> chance that it is wrong, per supposition
        def observe(component, thickness, wrong)
          at = thickness(component)
          across = @covariance[at, true, true] + @covariance[BIAS, true, true]
          variance = (across[at, true] + across[BIAS, true]).clip(1e-9, nil)
          mean = @mean[at, true] + @mean[BIAS, true]
          good = thickness.interval? ? between(thickness, mean, variance) : point(thickness, mean, variance, 0.0)
          bad = point(thickness, mean, variance, wrong.fetch(:sd_mm))
          chance, posterior_mean, posterior_variance = mix(good, bad, wrong.fetch(:share))
          regress(across / variance, posterior_mean - mean, posterior_variance - variance)
          chance
        end

        private

        def weightiest(weights, most, negligible)
          floor = weights.max + Math.log(negligible)
          floor = [floor, weights.sort[-most]].max if weights.length > most
          (weights >= floor).where
        end

        # -> [log likelihood, mean, variance] of the read quantity after a normal reading
        def point(thickness, mean, variance, more_sd)
          error = (thickness.standard_uncertainty_mm**2) + (more_sd**2)
          total = variance + error
          gap = thickness.value_mm - mean
          [
            -0.5 * ((gap * gap / total) + NUMBERS.log(total) + LOG_TWO_PI),
            mean + (variance / total * gap),
            variance * error / total
          ]
        end

        # A truncated normal, its bounds blurred.
        def between(thickness, mean, variance)
          blurred = variance + (thickness.edge_mm**2)
          sd = NUMBERS.sqrt(blurred)
          mass, shift, shrink = truncated(*[thickness.lower_mm, thickness.upper_mm].map { |bound| (bound - mean) / sd })
          regression = variance / blurred
          moved = (sd * shift).clip(thickness.lower_mm - mean - sd, thickness.upper_mm - mean + sd)
          [
            NUMBERS.log(mass),
            mean + (regression * moved),
            variance - (regression * regression * blurred * (1 - shrink))
          ]
        end

        # Of a standard normal between two bounds: [chance, mean, variance]
        def truncated(low, high)
          mass = chance_between(low, high)
          low_density, high_density = [low, high].map { |z| NUMBERS.exp(-0.5 * z * z) / Math.sqrt(2 * Math::PI) }
          shift = (low_density - high_density) / mass
          [mass, shift, (1 + (((low * low_density) - (high * high_density)) / mass) - (shift * shift)).clip(0.01, 1.0)]
        end

        # The side of the curve with the smaller numbers is used, so that far tails do not cancel to nothing.
        def chance_between(low, high)
          flip = Numo::DFloat.cast((low + high).gt(0))
          near = (low * (1 - flip)) - (high * flip)
          far = (high * (1 - flip)) - (low * flip)
          (0.5 * (NUMBERS.erfc(far / -ROOT_TWO) - NUMBERS.erfc(near / -ROOT_TWO))).clip(1e-12, nil)
        end

        def mix(good, bad, share)
          likely = good[0] + Math.log(1 - share)
          wrong = bad[0] + Math.log(share + TINY)
          top = Numo::DFloat.maximum(likely, wrong)
          total = top + NUMBERS.log(NUMBERS.exp(likely - top) + NUMBERS.exp(wrong - top))
          @log_weight += total
          chance = NUMBERS.exp(wrong - total)
          mean = (good[1] * (1 - chance)) + (bad[1] * chance)
          variance = ((good[2] + ((good[1] - mean)**2)) * (1 - chance)) + ((bad[2] + ((bad[1] - mean)**2)) * chance)
          [chance, mean, variance]
        end

        def regress(gain, shift, change)
          @mean += gain * shift
          @covariance += gain[true, :new, true] * (gain * change)[:new, true, true]
        end
      end
    end
  end
end
