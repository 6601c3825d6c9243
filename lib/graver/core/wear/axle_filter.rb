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
        include FittingOn
        include AtAService
        include UnloggedSet
        include PinsAndPistons

        NUMBERS = Numo::DFloat::Math
        # Hypotheses kept from service to service, considered for merging, after a branching, and between two readings.
        KEPT = 100
        MERGED = 200
        BRANCHED = 240
        WHILE_READING = 180
        NEGLIGIBLE_CHANGE = 1e-6
        # Moments of a possible change on a stretch, as shares of it.
        MOMENTS = [0.15, 0.5, 0.85].freeze
        # A plate that was measured with the pad stands out by millimetres; without that there is no reason to suppose
        # it.
        PLATE_GAP_MM = 2.5
        # Likewise for a set that was fitted and never logged.
        GROWN_MM = 0.5
        # A set that is missing from the log was renewed when it was due, but less exactly than one that was logged.
        DUE_TIMES = 1.5
        TINY = 1e-12
        MOST_LIVES = 1.5

        attr_reader :hypotheses

        # History, Prior
        def initialize(history, prior)
          @history = history
          @prior = prior
          @components = history.sets.flat_map(&:keys).uniq
          @on = {}
          @starts = {}
          @hypotheses = FirstHypotheses.new(prior, @components, BRANCHED).call(history.axle, history.kin)
          @km = nil
          LogEpochs.call(history).each { |epoch| process_epoch(epoch) }
          predict(@history.as_of_km)
          hypotheses.prune(KEPT)
        end

        # { reading's mark => chance of being wrong }, over all hypotheses
        def wrong_chances
          weights = hypotheses.weights
          marks.reject { |key, _| key.first == :renewed }.transform_values { |chances| (chances * weights).sum }
        end

        # { km: of the service => chance that a set missing from the log was fitted before it }
        def renewals_supposed
          weights = hypotheses.weights
          marks.select { |key, _| key.first == :renewed }.to_h { |(_, km), chances| [km, (chances * weights).sum] }
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

        def marks = hypotheses.marks

        # As ChangeTable#who has it.
        def who(component) = 2 + @components.index(component)
        def offset(component) = @prior.component_log_offset.fetch(component, 0.0)

        def process_epoch(epoch)
          worn = epoch.readings.select { |component, _| @on[component] && !epoch.fits.key?(component) }
          predict(epoch.km, worn, epoch.movements)
          epoch.freed.each { |component| free(component) if @on[component] }
          put_on(epoch.fits, epoch.choices) if epoch.fits.any?
          suppose_renewal(epoch.km) if grown?(worn)
          read(epoch) if epoch.readings.any?
          begin_seizures(epoch)
          epoch.said.each { |said| hypotheses.observe_claim(said, @history.limit_mm, @on.keys) }
        end

        # Wears everything fitted, up to a distance. A change on the way came early, half way or late. read: the
        # readings there, which decide what is worth following; movements: how pins and pistons were found there.
        def predict(km, read = [], movements = [])
          from = @km || km
          @km = [from, km].max
          @stretch_km = @km - from
          return if @on.empty?
          return found_standing(movements) if @km == from

          distance_km = @stretch_km
          @before = (hypotheses.mean * hypotheses.weights[:new, true]).sum(axis: 1) if read.any?
          changes = changes(read.any? ? MOMENTS : [0.5])
          chances, quiet = changes.chances(lives(distance_km), hypotheses.quiet)
          chances *= chance_found(movements, changes.each_who)
          lookahead_score = hypotheses.lookahead_score(changes, distance_km, read, @prior.increment_mm)
          which =
            hypotheses.branch(NUMBERS.log(chances), BRANCHED, negligible: NEGLIGIBLE_CHANGE, quiet:, lookahead_score:)
          hypotheses.tell(changes.kind(which))
          wear_through(distance_km, changes, which, from)
        end

        # Quickening and drift come half before the change and half after it.
        def wear_through(distance_km, changes, which, from)
          before = changes.epoch(which) * distance_km
          lives = lives(distance_km)
          hypotheses.quicken(lives / 2)
          hypotheses.drift(distance_km / 2)
          wear(before)
          hypotheses.note_change(changes.who(which), before + from)
          hypotheses.move(changes.shift(which), changes.variance(which))
          wear_in_a_spell(distance_km - before, *changes.spell(which))
          hypotheses.drift(distance_km / 2)
          hypotheses.quicken(lives / 2)
        end

        def changes(epochs) = ChangeTable.of(@prior, @components, @on.keys, epochs)

        # Shares of a usual set's life worn over a distance, per hypothesis; a set lasts no longer than itself.
        def lives(distance_km)
          mask = on
          lives =
            (hypotheses.expected_rates * mask[true, :new]).sum(axis: 0) * (distance_km / (mask.sum * @prior.life_mm))
          lives.clip(0.0, MOST_LIVES)
        end

        def on = Numo::DFloat.cast(@components.map { |component| @on[component] ? 1.0 : 0.0 })

        def wear(distance_km)
          hypotheses.wear(distance_km, @prior.increment_mm, @prior.common_increment, on:)
        end

        # times: how many times as much as usual was worn; variance: of the logarithm of that
        def wear_in_a_spell(distance_km, times, variance)
          distance_km *= times
          worn = hypotheses.expected_rates * distance_km[:new, true]
          wear(distance_km)
          hypotheses.spread_wear(worn * NUMBERS.sqrt(NUMBERS.exp(variance) - 1)[:new, true], on)
        end

        def free(component)
          hypotheses.forget_changes([who(component)])
          hypotheses.recall(hypotheses.deviation(component), 0.5, @prior.freed_log_sd**2, mean: offset(component))
        end
      end
    end
  end
end
