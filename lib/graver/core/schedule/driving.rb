# frozen_string_literal: true

require_relative "../value"
require_relative "../wear/normal"
require_relative "../wear/life"

module Graver
  module Core
    module Schedule
      # How much a vehicle is driven, and so when a distance is reached.
      #
      # km_per_day is the median, log_sd the spread (natural logarithm) of the average over the time ahead.
      Driving = Value.define(:km_per_day, :log_sd, :days_observed) do
        # points: [[Date, km], ...]; prior: { km_per_day:, log_sd:, weight_days:, floor_log_sd:, window_days: }.
        # The prior counts as `weight_days` of driving, so a short log leans on it and a long one does not; only the
        # last `window_days` count, so that an old commute is forgotten.
        def self.from(points, prior)
          recent = recent(points.sort, prior.fetch(:window_days))
          days = recent.empty? ? 0 : (recent.last[0] - recent.first[0]).to_i
          driven = recent.empty? ? 0.0 : [recent.last[1] - recent.first[1], 0.0].max
          weight = prior.fetch(:weight_days)
          median = (driven + (prior.fetch(:km_per_day) * weight)) / (days + weight)
          leaning = prior.fetch(:log_sd) * Math.sqrt(weight.to_f / (days + weight))
          new(km_per_day: median, log_sd: Math.hypot(prior.fetch(:floor_log_sd), leaning), days_observed: days)
        end

        # A point just outside the window is kept, so that the window is covered.
        def self.recent(points, window_days)
          return points if points.length < 3

          start = points.last[0] - window_days
          kept = points.drop_while { |date, _| date < start }
          kept.length < 2 ? points.last(2) : kept
        end
        private_class_method :recent

        # Life (km) -> { 0.05 => days, ... }: the spread of the driving is mixed in at nine even points.
        def days_until(life)
          rates = self.class::SPREAD.map { |z| km_per_day * Math.exp(z * log_sd) }
          Wear::Life::PROBABILITIES.to_h { |probability| [probability, days_at(life, rates, probability)] }
        end

        # Days until a plain distance, at the median rate.
        def days_for(distance_km) = distance_km / km_per_day

        private

        def days_at(life, rates, probability)
          return 0.0 if life.chance_now >= probability

          low, high = 0.0, life.distances_km.last / rates.min
          40.times do
            middle = (low + high) / 2
            mixed = rates.sum { |rate| life.chance_passed(rate * middle) } / rates.length
            mixed < probability ? low = middle : high = middle
          end
          high
        end
      end
      Driving::SPREAD = (1..9).map { |n| Wear::Normal.quantile((n - 0.5) / 9.0) }.freeze
    end
  end
end
