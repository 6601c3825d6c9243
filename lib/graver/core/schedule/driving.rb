# frozen_string_literal: true

module Graver
  module Core
    module Schedule
      # How much a vehicle is driven.
      #
      # km_per_day is the median, log_sd the spread (natural logarithm) of the average over the time ahead; season is
      # twelve factors (January first, mean 1), or nil where less than a year is known.
      Driving =
        Value.define(:km_per_day, :log_sd, :days_observed, :season) do
          # points: [[Date, km], ...]; prior: { km_per_day:, log_sd:, weight_days:, floor_log_sd:, window_days:,
          # season_from_days:, season_weight_days: }. The prior counts as `weight_days` of driving, so a short log leans
          # on it and a long one does not; only the last `window_days` count, so that an old commute is forgotten.
          def self.from(points, prior)
            recent = recent(points.sort, prior.fetch(:window_days))
            days = recent.empty? ? 0 : (recent.last[0] - recent.first[0]).to_i
            driven = recent.empty? ? 0.0 : [recent.last[1] - recent.first[1], 0.0].max
            weight = prior.fetch(:weight_days)
            median = (driven + (prior.fetch(:km_per_day) * weight)) / (days + weight)
            leaning = prior.fetch(:log_sd) * Math.sqrt(weight.to_f / (days + weight))
            season =
              (
                if days >= prior.fetch(:season_from_days)
                  Season.factors(recent, median, prior.fetch(:season_weight_days))
                end
              )
            new(
              km_per_day: median,
              log_sd: Math.hypot(prior.fetch(:floor_log_sd), leaning),
              days_observed: days,
              season:
            )
          end

          # Keeps one point just outside the window, so that the window is covered.
          def self.recent(points, window_days)
            return points if points.length < 3

            start = points.last[0] - window_days
            kept = points.drop_while { |date, _| date < start }
            kept.length < 2 ? points.last(2) : kept
          end
          private_class_method :recent
        end
    end
  end
end
