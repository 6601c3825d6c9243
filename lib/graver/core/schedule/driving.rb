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
          # half_life_days:, lay_up_days:, lay_up_share:, season_from_days:, season_weight_days: }. The prior counts as
          # `weight_days` of driving, so a short log leans on it and a long one does not. What is older counts less, and
          # nothing from before the window; a vehicle that was laid up is driven as it was before.
          def self.from(points, prior)
            recent = recent(points.sort, prior.fetch(:window_days))
            stretches = driven(stretches(recent), prior)
            days = stretches.sum { |stretch| stretch[:weight] * stretch[:days] }
            weight = prior.fetch(:weight_days)
            km = stretches.sum { |stretch| stretch[:weight] * stretch[:km] }
            median = (km + (prior.fetch(:km_per_day) * weight)) / (days + weight)
            leaning = prior.fetch(:log_sd) * Math.sqrt(weight.to_f / (days + weight))
            observed = stretches.sum { |stretch| stretch[:days] }
            new(
              km_per_day: median,
              log_sd: Math.hypot(prior.fetch(:floor_log_sd), leaning),
              days_observed: observed,
              season: (season(recent, median, prior) if observed >= prior.fetch(:season_from_days))
            )
          end

          def self.season(points, median, prior)
            Season.factors(points, median, prior.fetch(:season_weight_days))
          end

          # Between one reading of the odometer and the next: { days:, km:, age: in days before the last }.
          def self.stretches(points)
            each =
              points
                .each_cons(2)
                .map do |(from, km), (upto, further)|
                  { days: (upto - from).to_i, km: [further - km, 0.0].max, age: (points.last[0] - upto).to_i }
                end
            each.select { |stretch| stretch[:days].positive? }
          end

          # Without lay-ups; each with its weight.
          def self.driven(stretches, prior)
            usual = stretches.map { |stretch| stretch[:km] / stretch[:days] }.sort[stretches.length / 2]
            kept =
              stretches.reject do |stretch|
                stretch[:days] >= prior.fetch(:lay_up_days) && stretches.length > 1 &&
                  stretch[:km] < usual * stretch[:days] * prior.fetch(:lay_up_share)
              end
            kept.map { |stretch| { **stretch, weight: 0.5**stretch[:age].fdiv(prior.fetch(:half_life_days)) } }
          end

          # Keeps one point just outside the window, so that the window is covered.
          def self.recent(points, window_days)
            return points if points.length < 3

            start = points.last[0] - window_days
            kept = points.drop_while { |date, _| date < start }
            kept.length < 2 ? points.last(2) : kept
          end
          private_class_method :recent, :driven, :stretches, :season
        end
    end
  end
end
