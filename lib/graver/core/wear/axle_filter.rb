# frozen_string_literal: true

require "numo/narray"

module Graver
  module Core
    module Wear
      # Follows all components of an axle through everything logged, under many hypotheses at once.
      #
      # On each stretch between services a hypothesis branches: nothing happened, the whole axle changed its rate, or
      # one component did. At each service it branches again: read rightly, or everything read there is off by one
      # error. Those that tell the same story become one, and the weightiest are kept. Where the rate lies, how much it
      # drifts and how large the readings' errors are, are hypotheses from the start.
      class AxleFilter
        NUMBERS = Numo::DFloat::Math
        # Hypotheses kept from service to service, considered for merging, after a branching, and between two readings.
        KEPT = 40
        MERGED = 80
        BRANCHED = 100
        WHILE_READING = 80
        NEGLIGIBLE_CHANGE = 1e-6
        # Moments of a possible change on a stretch, as shares of it.
        MOMENTS = [0.15, 0.5, 0.85].freeze
        # A plate that was measured with the pad stands out by millimetres; without that there is no reason to suppose
        # it.
        PLATE_GAP_MM = 2.5

        attr_reader :hypotheses

        # History, Prior
        def initialize(history, prior)
          @history = history
          @prior = prior
          @components = history.sets.flat_map(&:keys).uniq
          @on = {}
          @hypotheses = FirstHypotheses.new(prior, @components, BRANCHED).call(history.axle, history.kin)
          @km = nil
          LogEpochs.call(history).each { |epoch| process_epoch(epoch) }
          predict(@history.as_of_km)
          hypotheses.prune(KEPT)
        end

        # { reading's mark => chance of being wrong }, over all hypotheses
        def wrong_chances
          weights = hypotheses.weights
          hypotheses.marks.transform_values { |chances| (chances * weights).sum }
        end

        # The chance that changes are rare on this axle.
        def quiet = (hypotheses.quiet * hypotheses.weights).sum

        # { component, or :axle => { chance:, since_km: } }: the last change of rate on the current set
        def changes_supposed
          whose = [:axle, *@components].each_with_index.to_h { |one, at| [one, hypotheses.changed.eq(at + 1)] }
          whose.transform_values do |mask|
            mine = hypotheses.weights * Numo::DFloat.cast(mask)
            { chance: mine.sum, since_km: mine.sum.zero? ? nil : (mine * hypotheses.changed_km).sum / mine.sum }
          end
        end

        private

        # As ChangeTable#who has it.
        def who(component) = 2 + @components.index(component)
        def offset(component) = @prior.component_log_offset.fetch(component, 0.0)

        def process_epoch(epoch)
          predict(epoch.km, epoch.readings.select { |component, _| @on[component] && !epoch.fits.key?(component) })
          epoch.freed.each { |component| free(component) if @on[component] }
          put_on(epoch.fits, epoch.choices) if epoch.fits.any?
          read(epoch) if epoch.readings.any?
          epoch.said.each { |said| hypotheses.observe_claim(said, @history.limit_mm, @on.keys) }
        end

        # Wears everything fitted, up to a distance. A change on the way came early, half way or late. read: the
        # readings there, which decide what is worth following.
        def predict(km, read = [])
          from = @km || km
          @km = [from, km].max
          return if @km == from || @on.empty?

          distance_km = @km - from
          changes = changes(read.any? ? MOMENTS : [0.5])
          chances, quiet = changes.chances(lives(distance_km), hypotheses.quiet)
          lookahead_score = hypotheses.lookahead_score(changes, distance_km, read, @prior.increment_mm)
          which =
            hypotheses.branch(NUMBERS.log(chances), BRANCHED, negligible: NEGLIGIBLE_CHANGE, quiet:, lookahead_score:)
          hypotheses.tell(changes.kind(which))
          before = changes.epoch(which) * distance_km
          hypotheses.drift(distance_km / 2)
          wear(before)
          hypotheses.note_change(changes.who(which), before + from)
          hypotheses.move(changes.shift(which), changes.variance(which))
          wear(distance_km - before)
          hypotheses.drift(distance_km / 2)
        end

        def changes(epochs) = ChangeTable.of(@prior, @components, @on.keys, epochs)

        # Shares of a usual set's life worn over a distance, per hypothesis.
        def lives(distance_km)
          mask = on
          (hypotheses.expected_rates * mask[true, :new]).sum(axis: 0) * (distance_km / (mask.sum * @prior.life_mm))
        end

        def on = Numo::DFloat.cast(@components.map { |component| @on[component] ? 1.0 : 0.0 })

        def wear(distance_km)
          hypotheses.wear(distance_km, @prior.increment_mm, @prior.common_increment, on:)
        end

        def free(component)
          hypotheses.forget_changes([who(component)])
          hypotheses.recall(hypotheses.deviation(component), 0.5, @prior.freed_log_sd**2, mean: offset(component))
        end

        # A new set: the axle's rate stays about the same, a position's deviation is partly kept.
        def put_on(fits, choices)
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
          hypotheses.forget_changes([1, *fits.keys.map { |component| who(component) }])
          choices ? choose_start(fits, choices) : share_start(fits)
        end

        # One of a few nominal thicknesses, the same for the whole set: each is tried.
        def choose_start(fits, choices)
          which = hypotheses.branch([-Math.log(choices.length)] * choices.length, BRANCHED)
          middle = choices.sum / choices.length
          moved = Numo::DFloat.cast(choices)[which] - middle
          fits.each_key { |component| hypotheses.disturb(hypotheses.thickness(component), 0.0, shift: moved) }
        end

        # An unknown thickness of the whole set is one unknown, not four.
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

        # Readings of one day by one eye or one gauge share an error: each such group is processed together.
        def read(epoch)
          epoch
            .readings
            .group_by { |_, observation| observation.thickness.group }
            .each_value do |readings|
              suppose_errors(readings)
              readings.each { |component, observation| observe(component, observation) }
              forget_errors
            end
          hypotheses.prune(MERGED)
          hypotheses.merge
          hypotheses.prune(KEPT)
        end

        def observe(component, observation)
          share = @prior.wrong[:share] * (observation.affirmed ? @prior.affirmed_times : 1)
          wrong = @prior.wrong.merge(share: 1 - ((1 - share) * observation.trust))
          chance = hypotheses.observe(component, observation.thickness.own, wrong)
          off = hypotheses.off
          hypotheses.mark([component, observation], chance + off - (chance * off))
          hypotheses.prune(WHILE_READING)
        end

        # All right; all with one error; all with their plates. The usual shared error comes on top. If one of them was
        # affirmed, the tool was checked.
        def suppose_errors(readings)
          errors = [@prior.wrong_service, plate?(readings) ? @prior.plate_service : nil].compact
          times = readings.any? { |_, observation| observation.affirmed } ? @prior.affirmed_times : 1
          errors = errors.map { |error| error.merge(share: error[:share] * times) }
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
          shared = readings.sum { |_, observation| observation.thickness.shared_mm**2 } / readings.length
          hypotheses.share_error(Math.sqrt(shared))
          hypotheses.tell(Numo::DFloat.cast(which))
          hypotheses.mark_biased_service(Numo::DFloat.cast(which.gt(0)))
        end

        def plate?(readings)
          return false unless @prior.plate_service[:mm]

          expected = (hypotheses.mean * hypotheses.weights[:new, true]).sum(axis: 1)
          readings.any? do |component, observation|
            observation.thickness.value_mm - expected[hypotheses.thickness(component)] > PLATE_GAP_MM
          end
        end

        def forget_errors = hypotheses.recall(Hypotheses::BIAS, 0.0, 0.0)
      end
    end
  end
end
