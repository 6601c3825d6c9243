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
        include Wearing
        include Reading
        include Merging
        include Foreseeing
        include Hearing

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

        # What a supposition takes for granted: spread and distance of the drift, and how many times as large as usual
        # the readings' errors are. story: a number for all that happened in it; off: 1 where the service at hand is
        # read wrong in it; changed: whose rate changed last (ChangeTable#who), changed_km: and where; quiet: the
        # chance that things happen rarely on this axle
        Kind = Struct.new(:drift_sd, :drift_km, :error, :story, :off, :changed, :changed_km, :quiet, keyword_init: true)
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
          @kinds = Kind.members.to_h { |name| [name, Numo::DFloat.cast(kinds.map { |kind| kind[name] || 0.0 })] }
          @keys = []
        end

        Kind.members.each { |name| define_method(name) { @kinds.fetch(name) } }

        # Another one that goes its own way from here.
        def copy = dup.tap(&:own_arrays)

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

        # What happened to each, as a number: those with the same one may become one.
        def tell(chapter) = @kinds[:story] = ((@kinds.fetch(:story) * 61) + chapter) % STORIES

        # Whose rate changed, and where on the odometer (0: nobody's).
        def note_change(who, km)
          some = Numo::DFloat.cast(who.gt(0))
          @kinds[:changed] = (changed * (1 - some)) + (who * some)
          @kinds[:changed_km] = (changed_km * (1 - some)) + (km * some)
        end

        # What is new, or was made free, wears as it does.
        def forget_changes(whose) = whose.each { |who| @kinds[:changed] = changed * Numo::DFloat.cast(changed.ne(who)) }

        def suppose_off(which) = @kinds[:off] = which

        # Each supposition becomes several: log_chances [case, supposition] (or a number for all of a case). The
        # weightiest are kept, counted with what they promise. quiet: that chance in each case. -> the number of the
        # case, per supposition.
        def branch(log_chances, most, negligible: 1e-5, quiet: nil, promise: 0.0)
          weights = log_weight[:new, true] + table_of(log_chances)
          keep = weightiest((weights + promise).flatten, most, negligible)
          cases = keep / length
          kept = weights.flatten[keep].dup
          select(keep % length)
          @log_weight = kept
          @kinds[:quiet] = quiet.flatten[keep].dup if quiet
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

        # What the readings of a day have in common, on top of what is supposed of that day already.
        def share_error(sd_mm) = disturb(BIAS, (sd_mm * error)**2)

        protected

        def own_arrays
          @mean, @covariance, @log_weight = [@mean, @covariance, @log_weight].map(&:dup)
          @kinds = @kinds.transform_values(&:dup)
          @keys, @told = @keys.dup, @told&.dup
        end

        private

        def table_of(log_chances)
          return log_chances unless log_chances.is_a?(Array)

          Numo::DFloat.vstack(log_chances.map { |chance| (log_weight * 0.0) + chance })
        end

        # Of two numbers of which the logarithms are given, the logarithm of the sum.
        def log_sum(one, other)
          top = Numo::DFloat.maximum(one, other)
          top + NUMBERS.log(NUMBERS.exp(one - top) + NUMBERS.exp(other - top))
        end

        def weightiest(weights, most, negligible)
          floor = weights.max + Math.log(negligible)
          floor = [floor, weights.sort[-most]].max if weights.length > most
          (weights >= floor).where
        end
      end
    end
  end
end
