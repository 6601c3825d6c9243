# frozen_string_literal: true

require "date"

module Graver
  module Core
    module Schedule
      # The driving ahead of a vehicle: from days to distance and back, with seasons, planned trips and a changed
      # commute.
      #
      # Wear is forecast in usual kilometres; where a trip or a new commute is harder on the brakes, one kilometre of it
      # counts for more. The spread of the driving scales everything but the trips.
      class Timeline
        # Seasons are followed month by month this far; beyond, years are alike.
        SEASONAL_DAYS = 1100
        FURTHEST_DAYS = 36_500
        # A change this long ago is in the odometer readings already.
        SETTLED_DAYS = 180
        # Nine even points of the driving's spread.
        SPREAD = (1..9).map { |n| Wear::Normal.quantile((n - 0.5) / 9.0) }.freeze

        NEAR_DAYS = 0.25
        SAME_CHANCE = 2e-4

        attr_reader :driving, :as_of, :trips, :changes

        # Driving, Date, [Trip], [Change]
        def initialize(driving, as_of, trips: [], changes: [])
          @driving = driving
          @as_of = as_of
          @trips = trips.select { |trip| trip.to >= as_of }
          @changes = changes.reject { |change| change.from < as_of - SETTLED_DAYS }.sort_by(&:from)
          @plain = [*@trips, *@changes].all? { |one| one.wear_factor == 1 }
          @middle = legs(1.0)
          @known = {}.compare_by_identity
        end

        # Distance on the odometer after so many usual km of wear, at the median driving.
        def actual_km(usual_km) = between(@middle, :usual, :actual, usual_km)
        # A forecast in usual km as one in km of the odometer.
        def along(life) = plain? ? life : life.mapped { |km| actual_km(km) }
        # Days until a distance on the odometer, at the median driving.
        def days_for(distance_km) = between(@middle, :actual, :day, distance_km)
        # Distance on the odometer by a day, at the median driving.
        def km_by(date) = between(@middle, :day, :actual, [(date - as_of).to_i, 0].max.to_f)

        # RemainingLife (km of the odometer) -> { 0.05 => days, ... }, including the spread of the driving. Cached per
        # life: many screens ask for the same.
        def days_until(life)
          @known[life] ||= begin
            earlier = 0.0
            Wear::RemainingLife::PROBABILITIES
              .to_h { |probability| [probability, earlier = days_at(life, probability, earlier)] }
              .freeze
          end
        end

        # Days until the limit is passed with this chance, including the spread of the driving.
        def days_at_chance(life, probability)
          known = Wear::RemainingLife::PROBABILITIES.include?(probability)
          known ? days_until(life).fetch(probability) : days_at(life, probability, 0.0)
        end

        # The chance that the limit is passed by a day (days from now), including the spread of the driving. At the same
        # distance, faster or slower driving has another wear than the median.
        def chance_by(life, day)
          at, share = place_of(day)
          ways.sum do |way|
            usual_km = way[at] + ((way[at + 1] - way[at]) * share)
            life.chance_passed(plain? ? usual_km : actual_km(usual_km))
          end / ways.length
        end

        private

        # Whether every km wears alike.
        def plain? = @plain

        # Usual km at each boundary, for each point of the driving's spread.
        def ways = @ways ||= SPREAD.map { |z| legs(Math.exp(z * driving.log_sd)).fetch(:usual) }

        # -> the leg a day is on, and the share of it that is over by then
        def place_of(day)
          at =
            ((boundaries.bsearch_index { |place| place > day } || boundaries.length) - 1).clamp(
              0,
              boundaries.length - 2
            )
          [at, ((day - boundaries[at]) / (boundaries[at + 1] - boundaries[at])).clamp(0.0, 1.0)]
        end

        # Searches upwards from `low`: doubles until the value is passed, then closes in by regula falsi (an end that
        # stays is pulled in), to a quarter of a day or the smallest step of chance.
        def days_at(life, probability, low)
          return 0.0 if life.chance_now >= probability

          missing = ->(day) { chance_by(life, day) - probability }
          high = [low * 1.5, 64.0].max
          below, above = missing.call(low), missing.call(high)
          while high < FURTHEST_DAYS && above.negative?
            low, below, high = high, above, high * 2
            above = missing.call(high)
          end
          close_in(low, below, high, above, missing)
        end

        def close_in(low, below, high, above, missing)
          return high if above.negative?

          while high - low > NEAR_DAYS
            middle = low + ((high - low) * (below / (below - above)).clamp(0.02, 0.98))
            value = missing.call(middle)
            return middle if value.abs < SAME_CHANCE

            if value.negative?
              low, below, above = middle, value, above / 2
            else
              high, above, below = middle, value, below / 2
            end
          end
          high
        end

        # { day: [...], actual: [...], usual: [...] } at every place where the pace changes; scale: of all but the
        # trips.
        def legs(scale)
          actual = usual = 0.0
          rows =
            stretches.map do |day, base, factor, extra, harder|
              row = [day, actual, usual]
              actual += (base * scale) + extra
              usual += (base * scale * factor) + harder
              row
            end
          columns([*rows, [boundaries.last, actual, usual]])
        end

        # [[from day, km, wear factor, km of trips, the same as they count], ...]
        def stretches
          @stretches ||=
            boundaries
              .each_cons(2)
              .map do |from, to|
                trips = trips_between(from, to)
                [
                  from,
                  pace(from) * (to - from),
                  factor(from),
                  trips.sum(&:first),
                  trips.sum { |km, harder| km * harder }
                ]
              end
        end

        def columns(rows) = %i[day actual usual].zip(rows.transpose).to_h

        def boundaries = @boundaries ||= places_of_change

        def places_of_change
          marks =
            @trips.flat_map { |trip| [day(trip.from), day(trip.to) + 1] } + @changes.map { |change| day(change.from) }
          marks += months if driving.season
          [0.0, *marks.select { |mark| mark.positive? && mark < FURTHEST_DAYS }, FURTHEST_DAYS.to_f].uniq.sort
        end

        def months
          first = Date.new(as_of.year, as_of.month, 1)
          (1..(SEASONAL_DAYS / 30)).map { |count| ((first >> count) - as_of).to_f }
        end

        def day(date) = (date - as_of).to_f

        def pace(from)
          km =
            @changes.reverse.find { |change| day(change.from) <= from && change.km_per_day }&.km_per_day ||
              driving.km_per_day
          from < SEASONAL_DAYS && driving.season ? km * driving.season[(as_of + from.to_i).month - 1] : km
        end

        def factor(from) = @changes.reverse.find { |change| day(change.from) <= from }&.wear_factor || 1.0

        # [[km, wear factor], ...] of the trips under way between two days.
        def trips_between(from, to)
          @trips.filter_map do |trip|
            start = [day(trip.from), 0.0].max
            stop = day(trip.to) + 1
            share = ([to, stop].min - [from, start].max) / (stop - start)
            [trip.km * share, trip.wear_factor] if share.positive?
          end
        end

        def between(legs, from, to, value)
          places = legs.fetch(from)
          return legs.fetch(to).last if value >= places.last

          at = [(places.bsearch_index { |place| place > value } || places.length) - 1, 0].max
          span = places[at + 1] - places[at]
          return legs.fetch(to)[at] unless span.positive?

          legs.fetch(to)[at] + ((legs.fetch(to)[at + 1] - legs.fetch(to)[at]) * (value - places[at]) / span)
        end
      end
    end
  end
end
