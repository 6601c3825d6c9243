# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # Follows all components of an axle through everything logged, under many suppositions at once.
      #
      # On each stretch between services a supposition branches: nothing happened, the whole axle changed its rate, or
      # one component did. At each service it branches again: read rightly, or everything read there is off by one
      # error.
      # The
      # weightiest are kept. Where the rate lies, and how much it drifts, are suppositions from the start.
      class AxleFilter
        # Middles of the prior's parts, in its standard deviations, and what is left of the spread within each.
        PARTS = [-2.4, -1.8, -1.2, -0.6, 0.0, 0.6, 1.2, 1.8, 2.4].freeze
        WITHIN = 0.45
        NUMBERS = Numo::DFloat::Math
        KEPT = 60
        BRANCHED = 300
        WHILE_READING = 150
        NEGLIGIBLE_CHANGE = 1e-6
        # Where on a stretch a change may have happened, as shares of it.
        MOMENTS = [0.15, 0.5, 0.85].freeze
        # A plate that was measured with the pad stands out by millimetres; without that nobody need suppose it.
        PLATE_GAP_MM = 2.5

        attr_reader :hypotheses

        # History, Prior
        def initialize(history, prior)
          @history = history
          @prior = prior
          @components = history.sets.flat_map(&:keys).uniq
          @on = {}
          @hypotheses = start
          @km = nil
          Moments.call(history).each { |moment| pass(moment) }
          travel(@history.as_of_km)
          hypotheses.prune(KEPT)
        end

        # { reading's mark => chance of being wrong }, over all suppositions
        def doubts
          weights = hypotheses.weights
          hypotheses.marks.transform_values { |chances| (chances * weights).sum }
        end

        private

        def start
          cells = PARTS.product(@prior.drifts, [nil, *@components])
          Hypotheses.new(
            @components,
            first_means(cells),
            first_variances(cells),
            cells.map { |part, drift, odd| first_weight(part, drift, odd) },
            cells.map { |_, drift, _| drift.values_at(:log_sd, :km) }
          )
        end

        def first_weight(part, drift, odd)
          share =
            odd ? @prior.odd_from_new[:share] * @prior.seizure_weights.fetch(odd, 0.0) : 1 - @prior.odd_from_new[:share]
          (-0.5 * part * part / (1 - (WITHIN**2))) + Math.log(drift.fetch(:share)) + Math.log(share + 1e-12)
        end

        def first_means(cells)
          middle = Math.log(@prior.rate_mm_per_1000km / 1000)
          base = cells.map { |part, _, _| middle + (part * @prior.rate_log_sd) }
          deviations =
            @components.map do |component|
              cells.map { |_, _, odd| offset(component) + (odd == component ? @prior.odd_from_new[:log_mean] : 0.0) }
            end
          none = [0.0] * cells.length
          [base, none, none, *deviations, *([none] * @components.length)]
        end

        def first_variances(cells)
          own = @prior.deviation_log_sd**2
          deviations =
            @components.map do |component|
              cells.map { |_, _, odd| own + (odd == component ? @prior.odd_from_new[:log_sd]**2 : 0.0) }
            end
          spread = [(WITHIN * @prior.rate_log_sd)**2] * cells.length
          [
            spread,
            cells.map { |_, drift, _| drift[:log_sd]**2 },
            [0.0] * cells.length,
            *deviations,
            *([[0.0] * cells.length] * @components.length)
          ]
        end

        def offset(component) = @prior.component_log_offset.fetch(component, 0.0)
        def mate(component)
          @components.find do |other|
            other != component && other.include?("_") && other.split("_").first == component.split("_").first
          end
        end

        def pass(moment)
          travel(moment.km, read: moment.readings.any?)
          moment.freed.each { |component| free(component) if @on[component] }
          put_on(moment.fits) if moment.fits.any?
          read(moment) if moment.readings.any?
        end

        # Wears everything that is on up to a place. What changed on the way changed early, half way or late.
        def travel(km, read: false)
          from = @km || km
          @km = [from, km].max
          return if @km == from || @on.empty?

          before, after = branch(@km - from, read ? MOMENTS : [0.5])
          wear(before)
          change
          wear(after)
        end

        # Kinds of change that may happen on a stretch: [nil | :axle | component, how].
        def changes
          @changes ||= {}
          @changes[@on.keys] ||= [
            [nil, nil],
            *@prior.axle_changes.map { |how| [:axle, how] },
            *@on.keys.product(@prior.seizures)
          ]
        end

        # One supposition becomes one per kind and moment of change. Notes which, and -> the distances before and
        # after it.
        def branch(distance_km, moments)
          lives = expected_lives(distance_km)
          @cases = [[changes.first, 0.5], *changes.drop(1).product(moments)]
          chances = @cases.drop(1).map { |change, _| change_chance(change, lives) / moments.length }
          chances.unshift((1 - chances.sum(lives * 0.0)).clip(0.02, 1))
          @case =
            hypotheses.branch(
              chances.map { |chance| NUMBERS.log(chance + 1e-30) },
              BRANCHED,
              negligible: NEGLIGIBLE_CHANGE
            )
          share = Numo::DFloat.cast(@cases.map(&:last))[@case].dup
          [share * distance_km, (1 - share) * distance_km]
        end

        def expected_lives(distance_km)
          rates = @on.keys.map { |component| NUMBERS.exp(hypotheses.log_rate(component).first) }
          rates.sum * (distance_km / (rates.length * @prior.life_mm))
        end

        def change_chance((who, how), lives)
          return lives * 0.0 unless who

          share = who == :axle ? 1.0 : @prior.seizure_weights.fetch(who, 0.0)
          1 - NUMBERS.exp(-how[:per_life] * share * lives)
        end

        def wear(distance_km)
          hypotheses.drift(distance_km / 2)
          @on.each_key { |component| hypotheses.wear(component, distance_km, @prior.increment_mm) }
          hypotheses.drift(distance_km / 2)
        end

        def change
          @cases
            .each_with_index
            .group_by { |(change, _), _| change }
            .each { |change, cases| apply(*change, cases.sum { |_, at| Numo::DFloat.cast(@case.eq(at)) }) }
        end

        def apply(who, how, mask)
          return if who.nil? || mask.sum.zero?
          return hypotheses.disturb(Hypotheses::BASE, how[:log_sd]**2, shift: how[:log_mean], mask:) if who == :axle

          hypotheses.disturb(hypotheses.deviation(who), how[:log_sd]**2, shift: how[:log_mean], mask:)
          other = mate(who)
          hypotheses.disturb(hypotheses.deviation(other), how[:mate_log_sd]**2, mask:) if other
        end

        def free(component)
          hypotheses.recall(hypotheses.deviation(component), 0.5, @prior.freed_log_sd**2, mean: offset(component))
        end

        # A new set: the axle's rate is about what it was, a position's own way is partly kept.
        def put_on(fits)
          again = fits.keys.select { |component| @on[component] }
          hypotheses.disturb(Hypotheses::BASE, (@prior.set_log_sd**2) * again.length / @components.length) if again.any?
          again.each { |component| renew_deviation(component) }
          fits.each do |component, start|
            hypotheses.restart(
              hypotheses.thickness(component),
              start.value_mm,
              (start.standard_uncertainty_mm**2) - (start.shared_mm**2)
            )
            @on[component] = true
          end
          share_start(fits)
        end

        # One unknown thickness of the whole set is one unknown, not four.
        def share_start(fits)
          shared = fits.values.map(&:shared_mm).min
          own = fits.map { |component, start| [hypotheses.thickness(component), (start.shared_mm**2) - (shared**2)] }
          own.each { |unknown, variance| hypotheses.disturb(unknown, variance) if variance.positive? }
          hypotheses.join(own.map(&:first), shared**2) if shared.positive?
        end

        def renew_deviation(component)
          kept = @prior.kept_deviation
          hypotheses.recall(
            hypotheses.deviation(component),
            kept,
            (@prior.deviation_log_sd**2) * (1 - (kept**2)),
            mean: offset(component)
          )
        end

        # What was read that day by one eye or one gauge shares an error: each such group is taken in by itself.
        def read(moment)
          moment
            .readings
            .group_by { |_, observation| observation.thickness.group }
            .each_value do |readings|
              suppose_errors(readings)
              readings.each { |component, observation| observe(component, observation) }
              forget_errors
            end
          hypotheses.prune(KEPT)
        end

        def observe(component, observation)
          wrong = @prior.wrong.merge(share: 1 - ((1 - @prior.wrong[:share]) * observation.trust))
          chance = hypotheses.observe(component, observation.thickness.own, wrong)
          hypotheses.mark([component, observation], 1 - ((1 - chance) * (1 - hypotheses.marks[:service])))
          hypotheses.prune(WHILE_READING)
        end

        # Read rightly; all with one error; all with their plates. On top of it what such readings have in common
        # anyway.
        def suppose_errors(readings)
          errors = [@prior.wrong_service, plate?(readings) ? @prior.plate_service : nil].compact
          shares = [1 - errors.sum { |error| error[:share] }, *errors.map { |error| error[:share] }]
          which =
            hypotheses.branch(shares.map { |share| Math.log(share + 1e-12) }, BRANCHED, negligible: NEGLIGIBLE_CHANGE)
          errors.each_with_index do |error, at|
            hypotheses.disturb(
              Hypotheses::BIAS,
              error[:sd_mm]**2,
              shift: error[:mm] || 0.0,
              mask: Numo::DFloat.cast(which.eq(at + 1))
            )
          end
          hypotheses.disturb(
            Hypotheses::BIAS,
            readings.sum { |_, observation| observation.thickness.shared_mm**2 } / readings.length
          )
          hypotheses.mark(:service, Numo::DFloat.cast(which.gt(0)))
        end

        def plate?(readings)
          @prior.plate_service[:mm] &&
            readings.any? do |component, observation|
              expected = (hypotheses.mean[hypotheses.thickness(component), true] * hypotheses.weights).sum
              observation.thickness.value_mm - expected > PLATE_GAP_MM
            end
        end

        def forget_errors
          hypotheses.marks.delete(:service)
          hypotheses.recall(Hypotheses::BIAS, 0.0, 0.0)
        end
      end
    end
  end
end
