# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # A bank of hypotheses about one axle, each a normal distribution over the same unknowns, with a weight.
      #
      # The unknowns: `base` (logarithm of the axle's lasting wear rate, mm per km), `drift` (how it differs just now),
      # `bias` (a common error of everything read at one service), and for each component its `deviation` (logarithm)
      # and thickness in mm. All hypotheses are carried at once, as arrays: means [unknown, hypothesis], covariances
      # [unknown, unknown, hypothesis].
      #
      # Thickness falls by distance x exp(base + drift + deviation): mean, variance and covariances of that are exact
      # for normal logarithms. Readings are taken in one after the other; whatever distribution of the read quantity
      # results is reduced to its mean and variance and carried over to the other unknowns by regression
      # (assumed-density filtering).
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
        # Copying the arrays costs as much as keeping some hypotheses that hardly count.
        WORTH_SHRINKING = 0.75

        # The assumptions of a hypothesis: spread and distance of the drift, and the factor of the readings' errors.
        # history_hash: a number for all that happened in it; off: 1 if the current service is read wrong in it;
        # changed: which rate changed last (ChangeTable#who), changed_km: and where; quiet: the chance that changes are
        # rare on this axle; due_chance, due_place, due_variance: whether and where on this stretch the set was due;
        # trend: how much faster everything wears for each life that has gone; gone: lives of the set that have
        Kind =
          Struct.new(
            :drift_sd,
            :drift_km,
            :error,
            :history_hash,
            :off,
            :changed,
            :changed_km,
            :quiet,
            :due_chance,
            :due_place,
            :due_variance,
            :trend,
            :gone,
            keyword_init: true
          )
        STORIES = 1_000_003.0
        # Means of the base within this many standard deviations are nearly equal.
        NEAR = 1.2

        attr_reader :components, :mean, :covariance, :log_weight

        # means [unknown][hypothesis], variances likewise (independent at first), log weights, [Kind], one per
        # hypothesis.
        def initialize(components, means, variances, log_weights, kinds)
          @components = components
          @mean = Numo::DFloat.cast(means)
          @covariance = Numo::DFloat.zeros(size, size, log_weights.length)
          size.times { |at| @covariance[at, at, true] = variances[at] }
          @log_weight = Numo::DFloat.cast(log_weights)
          @kinds = Numo::DFloat.cast(Kind.members.map { |name| kinds.map { |kind| kind[name] || 0.0 } })
          @keys = []
        end

        ROWS = Kind.members.each_with_index.to_h.freeze
        private_constant :ROWS
        # A view: changing it in place changes the hypotheses.
        ROWS.each { |name, row| define_method(name) { @kinds[row, true] } }

        # The number of unknowns.
        def size = 3 + (2 * components.length)
        # The number of hypotheses.
        def length = log_weight.length
        # -> row of a component's deviation
        def deviation(component) = 3 + components.index(component)
        # -> row of a component's thickness
        def thickness(component) = 3 + components.length + components.index(component)

        # Weights that sum to one.
        def weights
          raised = NUMBERS.exp(log_weight - log_weight.max)
          raised / raised.sum
        end

        # Keeps the chosen hypotheses, in the order given; an index given twice makes a copy.
        def select(indexes)
          at = Numo::Int32.cast(indexes)
          @mean = @mean[true, at].dup
          @covariance = @covariance[true, true, at].dup
          @log_weight = @log_weight[at].dup
          @kinds = @kinds[true, at].dup
          @told = @told[true, at].dup if @told
        end

        # Keeps the `most` weightiest, without the negligible ones; and the best of each kind of story (which rate
        # changed last, or none), so that a rare one survives until a reading speaks for it.
        def prune(most, negligible: 1e-5)
          weights = log_weight.to_a
          floor = weights.max + Math.log(negligible)
          within = [floor, weights.length > most ? weights.sort[-most] : floor].max
          keep = weights.each_index.select { |at| weights[at] >= within }
          return if keep.length >= WORTH_SHRINKING * length

          select(keep | best_of_each(weights, floor))
        end

        # Takes in something that has these chances in each hypothesis.
        def weigh(chances) = @log_weight += NUMBERS.log(chances)

        # Records what happened to each, as a number: those with the same number may merge.
        def tell(chapter) = set(:history_hash, ((history_hash * 61) + chapter) % STORIES)

        # Records which rate changed, and where on the odometer (0: none).
        def note_change(who, km)
          some = who.gt(0)
          changed[some] = who[some]
          changed_km[some] = km[some]
        end

        # Forgets recorded changes of renewed or freed components.
        def forget_changes(whose, mask = nil)
          whose.each { |who| changed[mask ? changed.eq(who) & mask.gt(0) : changed.eq(who)] = 0.0 }
        end

        # Records whether and where on the stretch the set was due (shares of it, per hypothesis).
        def note_due(chance, place, variance)
          set(:due_chance, chance)
          set(:due_place, place)
          set(:due_variance, variance)
        end

        # Wear quickens: so many lives more have gone.
        def quicken(lives)
          @mean[BASE, true].inplace.+(trend * lives)
          set(:gone, gone + lives)
        end

        # A new set (in the hypotheses of the mask) begins at the pace of new parts again.
        def begin_anew(mask = 1.0)
          @mean[BASE, true].inplace.-(trend * gone * mask)
          set(:gone, gone * (1 - mask))
        end

        # which: 1 in each hypothesis in which the current service is read wrong, else 0
        def mark_biased_service(which) = set(:off, which)

        # Splits each hypothesis into several: log_chances [case, hypothesis] (or a number for all of a case). Keeps the
        # weightiest, counting what they promise. quiet: that chance in each case. -> the number of the case, per
        # hypothesis.
        def branch(log_chances, most, negligible: 1e-5, quiet: nil, lookahead_score: 0.0)
          weights = log_weight[:new, true] + table_of(log_chances)
          keep = weightiest((weights + lookahead_score).flatten, most, negligible)
          cases = keep / length
          kept = weights.flatten[keep].dup
          select(keep % length)
          @log_weight = kept
          set(:quiet, quiet.flatten[keep]) if quiet
          cases
        end

        # Keeps, per hypothesis, the chance of an event (a wrong reading); follows copies and pruning.
        def mark(key, chances)
          @keys << key
          @told = @told ? @told.concatenate(chances[:new, true], axis: 0) : chances[:new, true].dup
        end

        # { key => chances }
        def marks = @keys.each_with_index.to_h { |key, at| [key, @told[at, true]] }

        # Moves one unknown of some hypotheses (mask of 0 and 1, or all) by `shift` and adds `variance`.
        def disturb(unknown, variance, shift: 0.0, mask: 1.0)
          @mean[unknown, true].inplace.+(mask * shift)
          variance_of(unknown).inplace + (mask * variance)
        end

        # Adds one common error to several unknowns.
        def join(unknowns, variance)
          unknowns.product(unknowns).each { |one, other| @covariance[one, other, true].inplace + variance }
        end

        # Forgets what was known of an unknown.
        def restart(unknown, mean, variance)
          recall(unknown, 0.0, 0.0)
          @mean[unknown, true] = mean
          variance_of(unknown)[true] = variance
        end

        # Lets the unknown fall back towards `mean`: keeps the share `kept`, adds `variance`.
        def recall(unknown, kept, variance, mean: 0.0)
          @mean[unknown, true].inplace.*(kept)
          @mean[unknown, true].inplace + ((1 - kept) * mean) unless mean.zero?
          @covariance[unknown, true, true].inplace.*(kept)
          @covariance[true, unknown, true].inplace.*(kept)
          variance_of(unknown).inplace + variance
        end

        # The drift loses its memory over a distance (Ornstein-Uhlenbeck process).
        def drift(distance_km)
          kept = NUMBERS.exp(-distance_km / drift_km)
          recall(DRIFT, kept, (drift_sd**2) * (1 - (kept**2)))
        end

        # Applies a change: shifts and variances [row, hypothesis] of the base and of each deviation.
        def move(shifts, variances)
          [@mean, variances_known].zip([shifts, variances]) do |known, more|
            known[BASE, true].inplace.+(more[0, true])
            known[3...(3 + components.length), true].inplace + more[1..-1, true]
          end
        end

        # Adds the usual shared error of a day's readings to what is supposed of that day already.
        def share_error(sd_mm) = disturb(BIAS, (sd_mm * error)**2)

        private

        # A duplicate gets its own arrays: these are changed in place.
        def initialize_copy(source)
          super
          @mean, @covariance, @log_weight = [@mean, @covariance, @log_weight].map(&:dup)
          @kinds = @kinds.dup
          @keys, @told = @keys.dup, @told&.dup
        end

        # Places of the weightiest hypothesis of each kind, where it isn't negligible.
        def best_of_each(weights, floor)
          kinds = changed.to_a
          best =
            weights.each_index.group_by { |at| kinds[at] }.values.map { |places| places.max_by { |at| weights[at] } }
          best.select { |at| weights[at] >= floor }
        end

        def table_of(log_chances)
          return log_chances unless log_chances.is_a?(Array)

          Numo::DFloat.zeros(log_chances.length, length) + Numo::DFloat.cast(log_chances)[true, :new]
        end

        def set(name, values) = @kinds[ROWS.fetch(name), true] = values

        # Views of the covariances' diagonal: [unknown, hypothesis], and of one unknown.
        def variances_known = @covariance.diagonal([0, 1]).transpose
        def variance_of(unknown) = @covariance[unknown, unknown, true]

        # The logarithm of the sum of two numbers given by their logarithms.
        def log_sum(one, other)
          top = Numo::DFloat.maximum(one, other)
          top + NUMBERS.log(NUMBERS.exp(one - top) + NUMBERS.exp(other - top))
        end

        # -> Numo::Int32 places; only what is not negligible is sorted.
        def weightiest(weights, most, negligible)
          places = (weights >= weights.max + Math.log(negligible)).where
          return places if places.length <= most

          values = weights[places]
          places[(values >= values.sort[-most]).where]
        end
      end
    end
  end
end
