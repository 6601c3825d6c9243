# frozen_string_literal: true

module Graver
  module Core
    module Schedule
      # The complete forecast of one axle, from its log: pads, rotors, driving, and when to inspect again.
      class AxleForecast
        # Below this the spread of the driving says nothing of a day.
        LEAST_CHANCE = 0.005

        # - pads, rotors: Forecast::Result or nil, distances on the odometer
        # - why: why one of them is missing, by part ("pad", "rotor")
        # - timeline: Timeline, the driving ahead
        # - looks: by part that counts, NextLook::Decision: when to inspect, or renew, by what that costs; distances on
        #   the odometer
        # - last_look: Date this axle was last read, or parts of known thickness were fitted; nil: never
        # - kin: [WearRate] of the vehicle's other axles
        Answer =
          Value.define(:as_of_date, :as_of_km, :pads, :rotors, :timeline, :looks, :costs, :last_look, :kin, :why) do
            # -> Driving of the vehicle
            def driving = timeline.driving
            # RemainingLife -> { 0.05 => Date, ... }
            def dates(life) = timeline.days_until(life).transform_values { |days| date_after(days) }
            # distance_km: from now -> Date it is driven by
            def date_for(distance_km) = date_after(timeline.days_for(distance_km))

            # Distance from now of the next inspection (or job), as far as the pads decide it; else the rotors.
            def look_again_km = (looks["pad"] || looks["rotor"])&.next_km
            # The same including the rotors, if they have been read.
            def look_again_at_either_km = looks.values.map(&:next_km).min
            # Whether the pads are renewed next, without another inspection before.
            def renew_next?(most_days)
              first = looks.values.min_by(&:next_km)
              return false unless first && first == looks["pad"] && !first.look_first

              look_again_date(most_days) == date_by_wear
            end

            # The day by which the chance is no greater than it is at that distance, however unevenly the vehicle is
            # driven. Standing wears brakes too, so an inspection is never more than `most_days` after the last one;
            # what has not been inspected yet is due now. In the past if it is overdue by time.
            def look_again_date(most_days)
              [date_by_wear, last_look ? last_look + most_days : as_of_date].min if looks.any?
            end

            def date_by_wear = date_after(looks.map { |part, look| days_for(lives.fetch(part), look.next_km) }.min)

            # The chance that the limit is passed by that day, of the part that is likeliest to be.
            def look_again_chance(most_days)
              day = look_again_date(most_days) or return
              lives.values.map { |life| timeline.chance_by(life, [(day - as_of_date).to_i, 0].max) }.max
            end

            # The lives that decide the next inspection: of the pads, and of rotors that have been read.
            def lives = deciding.transform_values(&:first)

            # { part => Forecast::Result }
            def deciding
              counting = { "pad" => pads, "rotor" => (rotors if rotors && (pads.nil? || rotors.readings.positive?)) }
              counting.compact
            end

            # The approximate day the odometer reached a distance, at the present pace.
            def day_at(odometer_km) = as_of_date - ([as_of_km - odometer_km, 0].max / driving.km_per_day).floor

            # Days in which no more of the life's chance is spent than on that distance at the median driving.
            def days_for(life, km)
              return 0.0 if km.zero?

              timeline.days_at_chance(life, [life.chance_passed(km), LEAST_CHANCE].max)
            end

            # days from now -> Date, no further than the timeline looks
            def date_after(days) = as_of_date + [days.floor, Timeline::FURTHEST_DAYS].min
          end

        # priors: a part ("pad", "rotor") and a kind of vehicle -> Prior; costs: NextLook::Costs
        def initialize(history_builder:, priors:, driving_priors:, costs:)
          @history_builder = history_builder
          @priors = priors
          @driving_priors = driving_priors
          @costs = costs
        end

        # odometer: [[Date, km], ...] from the vehicle's whole log; kind: of vehicle -> Driving
        def driving(odometer, kind = nil) = Driving.from(odometer, @driving_priors.fetch(kind) { @driving_priors[nil] })

        # entries: [Entry] up to now; specifications: { "pad" => PartSpecification or nil, "rotor" => ... } of what
        # there is; beside: { said: [Hearsay] of its pads, moved: [Movement] of its pins and pistons, others: [[[Entry],
        # PartSpecification], ...] pads of the vehicle's other axles }, up to now; driving: Driving of the vehicle;
        # planned: { trips:, changes: } its owner has planned; costs: NextLook::Costs where they are not the usual ones.
        def call(entries:, specifications:, as_of_date:, as_of_km:, driving:, beside: {}, planned: {}, costs: @costs)
          why = {}
          timeline = Timeline.new(driving, as_of_date, **planned)
          known = { as_of_km:, **beside.slice(:said, :moved), kin: paces(beside.fetch(:others, []), as_of_km) }
          results =
            %w[pad rotor].to_h { |part| [part, forecast(part, entries, specifications, known, why)&.along(timeline)] }
          answer(
            Answer.new(
              as_of_date:,
              as_of_km:,
              pads: results["pad"],
              rotors: results["rotor"],
              why:,
              timeline:,
              kin: known[:kin],
              costs:,
              last_look: entries.select { |entry| looked_at?(entry, specifications) }.map(&:date).max,
              looks: {
              }
            )
          )
        end

        # The answer under another hypothesis. timeline: Timeline; the block is given "pad" or "rotor" and its
        # Forecast::Result and makes another of it (in usual km).
        def suppose(given, timeline: given.timeline)
          pads, rotors =
            { "pad" => given.pads, "rotor" => given.rotors }.map do |part, result|
              result && yield(part, result).along(timeline)
            end
          answer(given.with(pads:, rotors:, timeline:))
        end

        private

        # Fitting parts of known thickness counts as an inspection.
        def looked_at?(entry, specifications)
          return true if entry.thickness?

          entry.event == "fit" && (!entry.reading.nil? || !specifications[entry.part]&.new_mm.nil?)
        end

        def answer(given)
          looks =
            given.deciding.transform_values do |result|
              NextLook.call(result.futures, given.costs).along(given.timeline)
            end
          given.with(looks:)
        end

        def paces(others, as_of_km)
          others.filter_map do |entries, specification|
            next unless specification.limit_mm

            history = @history_builder.call(entries, specification, as_of_km:)
            Wear::WearRate.of(specification.axle, history, @priors.call("pad", specification.kind))
          end
        end

        # Where some positions were renewed and nothing is known of the others, which goes first is unknown.
        def never_seen(history, specification)
          history.sets.empty? ? [] : specification.components - history.sets.last.keys
        end

        # What the axle has none of is not missing.
        def forecast(part, entries, specifications, known, why)
          return unless specifications.key?(part)

          specification = specifications[part]
          unless specification&.limit_mm
            why[part] = Message.of(part == "pad" ? "forecast.no_limit" : "forecast.no_discard")
            return
          end
          history = @history_builder.call(entries, specification, **known)
          if (unknown = never_seen(history, specification)).any?
            why[part] = Message.of("forecast.never_seen", places: unknown.map { |place| place.tr("_", " ") }, part:)
            return
          end
          Wear::Forecast
            .call(history, @priors.call(part, specification.kind))
            .tap { |result| why[part] = Message.of("forecast.unread", part:) unless result }
        end
      end
    end
  end
end
