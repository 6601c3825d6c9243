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

        # What a supposition takes for granted: spread and distance of the drift, and how many times as large as usual the
        # readings' errors are;
        # story: a number of its own
        # off: 1 where the service at hand is supposed to be read wrong
        Kind = Struct.new(:drift_sd, :drift_km, :error, :story, :off, keyword_init: true)
        STORIES = 1_000_003.0
        # Means of the base no further apart than so many standard deviations are nearly the same.
        NEAR = 1.2

        attr_reader :components, :mean, :covariance, :log_weight

        # means [unknown][supposition], variances likewise (independent at first), log weights, [Kind], one per
        # supposition.
        def initialize(components, means, variances, log_weights, kinds)
          @components = components
          @mean = Numo::DFloat.cast(means)
          @covariance = Numo::DFloat.zeros(size, size, log_weights.length)
          size.times { |at| @covariance[at, at, true] = variances[at] }
          @log_weight = Numo::DFloat.cast(log_weights)
          @kinds = Kind.members.to_h { |name| [name, Numo::DFloat.cast(kinds.map { |kind| kind[name] })] }
          @keys = []
        end

        Kind.members.each { |name| define_method(name) { @kinds.fetch(name) } }

        # Another one that goes its own way from here.
        def copy = dup.tap { |other| other.own_arrays }

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
          @log_weight = @log_weight[at].dup
          @kinds.transform_values! { |list| list[at].dup }
          @told = @told[true, at].dup if @told
        end

        # Keeps the `most` weightiest, without those next to impossible.
        def prune(most, negligible: 1e-5)
          keep = weightiest(log_weight, most, negligible)
          select(keep) if keep.length < WORTH_SHRINKING * length
        end

        # Those that suppose the same (`story`) and by now believe nearly the same become one, of the same mean and
        # covariance as the two had together.
        def merge
          pairs, singles = alike
          return if pairs.empty?

          one, other = pairs.transpose.map { |list| Numo::Int32.cast(list) }
          alone = Numo::Int32.cast(singles)
          share, log_sum = shares(one, other)
          apart = @mean[true, one] - @mean[true, other]
          both = (@covariance[true, true, one] * share) + (@covariance[true, true, other] * (1 - share))
          both += apart[true, :new, true] * (apart * (share * (1 - share)))[:new, true, true]
          @covariance = joined(both, @covariance[true, true, alone])
          @mean = joined((@mean[true, one] * share) + (@mean[true, other] * (1 - share)), @mean[true, alone])
          @log_weight = joined(log_sum, @log_weight[alone])
          @kinds.transform_values! { |list| joined(list[one], list[alone]) }
          @told &&= joined((@told[true, one] * share) + (@told[true, other] * (1 - share)), @told[true, alone])
        end

        # What happened to each, as a number: those with the same one may become one.
        def tell(chapter) = @kinds[:story] = ((@kinds.fetch(:story) * 61) + chapter) % STORIES

        def suppose_off(which) = @kinds[:off] = which

        # Each supposition becomes several: log_chances [case, supposition] (or a number for all of a case). The weightiest
        # are kept. -> the number of the case, per supposition.
        def branch(log_chances, most, negligible: 1e-5)
          weights = log_weight[:new, true] + table_of(log_chances)
          keep = weightiest(weights.flatten, most, negligible)
          cases = keep / length
          kept = weights.flatten[keep].dup
          select(keep % length)
          @log_weight = kept
          cases
        end

        # Remembers, per supposition, the chance that something is so (a reading is wrong); follows copies and pruning.
        def mark(key, chances)
          @keys << key
          @told = @told ? @told.concatenate(chances[:new, true], axis: 0) : chances[:new, true].dup
        end

        # { key => chances }
        def marks = @keys.each_with_index.to_h { |key, at| [key, @told[at, true]] }

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
          kept = NUMBERS.exp(-distance_km / drift_km)
          recall(DRIFT, kept, (drift_sd**2) * (1 - (kept**2)))
        end

        # What happened to some: shifts and variances [row, supposition] of the base and of each deviation.
        def move(shifts, variances)
          [BASE, *(3...(3 + components.length))].each_with_index do |unknown, row|
            @mean[unknown, true] += shifts[row, true]
            @covariance[unknown, unknown, true] += variances[row, true]
          end
        end

        # The components wear over a distance (km, per supposition; 0 for those that are not on: on is 1 or 0 per
        # component). increment_mm: variance of wear over its mean; common: the share of it they have in common. Means and covariances of the
        # exponentials of normal rates are exact.
        def wear(distance_km, increment_mm, common, on: Numo::DFloat.ones(components.length))
          count = components.length
          rates, parts = 0...(3 + count), (3 + count)...size
          across =
            @covariance[3...(3 + count), true, true] +
              (@covariance[BASE, true, true] + @covariance[DRIFT, true, true])[:new, true, true]
          between =
            across[true, 3...(3 + count), true] +
              (across[true, BASE, true] + across[true, DRIFT, true])[true, :new, true]
          own = own(between)
          worn = expected(own) * distance_km * on[true, :new]
          @mean[parts, true] -= worn
          to_rates = @covariance[parts, rates, true] - (across[true, rates, true] * worn[true, :new, true])
          @covariance[parts, rates, true] = to_rates
          @covariance[rates, parts, true] = to_rates.transpose(1, 0, 2)
          crossed = across[true, parts, true] * worn[true, :new, true]
          @covariance[parts, parts, true] += unevenness(worn, between, increment_mm, common) - crossed -
            crossed.transpose(1, 0, 2)
        end

        # Middle wear rate of each component, mm per km [component, supposition]
        def expected_rates = NUMBERS.exp(log_means)

        # What the readings of a day have in common, on top of what is supposed of that day already.
        def share_error(sd_mm) = disturb(BIAS, (sd_mm * error)**2)

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

        protected

        def own_arrays
          @mean, @covariance, @log_weight = [@mean, @covariance, @log_weight].map(&:dup)
          @kinds = @kinds.transform_values(&:dup)
          @keys, @told = @keys.dup, @told&.dup
        end

        private

        # [[one, other], ...] to be made one, and the rest
        def alike
          stories, bases, spreads = story.to_a, @mean[BASE, true].to_a, @covariance[BASE, BASE, true].to_a
          order = (0...length).sort_by { |at| [stories[at], bases[at]] }
          pairs, singles = [], []
          while (at = order.shift)
            other = order.first
            near =
              other && stories[other] == stories[at] &&
                (bases[other] - bases[at])**2 < NEAR * NEAR * (spreads[at] + spreads[other]) / 2
            near ? pairs << [at, order.shift] : singles << at
          end
          [pairs, singles]
        end

        def shares(one, other)
          first, second = @log_weight[one], @log_weight[other]
          top = Numo::DFloat.maximum(first, second)
          sum = top + NUMBERS.log(NUMBERS.exp(first - top) + NUMBERS.exp(second - top))
          [NUMBERS.exp(first - sum), sum]
        end

        def joined(one, other) = other.size.zero? ? one.dup : one.concatenate(other, axis: -1)

        def table_of(log_chances)
          return log_chances unless log_chances.is_a?(Array)

          Numo::DFloat.vstack(log_chances.map { |chance| (log_weight * 0.0) + chance })
        end

        def log_means
          @mean[3...(3 + components.length), true] + (@mean[BASE, true] + @mean[DRIFT, true])[:new, true]
        end

        # Of each component's logarithm of its rate, the variance.
        def own(between)
          Numo::DFloat.vstack(components.each_index.map { |at| between[at, at, true] }).clip(0, MOST_LOG_VARIANCE)
        end

        def expected(own) = NUMBERS.exp(log_means + (0.5 * own))

        # What wear adds to the covariances of thicknesses: rates nobody knows, and increments that vary.
        def unevenness(worn, between, increment_mm, common)
          together = worn[true, :new, true] * worn[:new, true, true]
          spread = together * (NUMBERS.exp(between.clip(-MOST_LOG_VARIANCE, MOST_LOG_VARIANCE)) - 1)
          increments = NUMBERS.sqrt(together.clip(0, nil)) * (increment_mm * common)
          spread += increments
          components.each_index { |at| spread[at, at, true] += worn[at, true] * (increment_mm * (1 - common)) }
          spread
        end

        def weightiest(weights, most, negligible)
          floor = weights.max + Math.log(negligible)
          floor = [floor, weights.sort[-most]].max if weights.length > most
          (weights >= floor).where
        end

        # -> [log likelihood, mean, variance] of the read quantity after a normal reading
        def point(thickness, mean, variance, more_sd)
          spread = ((thickness.standard_uncertainty_mm * error)**2) + (more_sd**2)
          total = variance + spread
          gap = thickness.value_mm - mean
          [
            -0.5 * ((gap * gap / total) + NUMBERS.log(total) + LOG_TWO_PI),
            mean + (variance / total * gap),
            variance * spread / total
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
