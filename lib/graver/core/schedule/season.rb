# frozen_string_literal: true

require "date"

module Graver
  module Core
    module Schedule
      # How driving varies from month to month.
      module Season
        module_function

        # points: [[Date, km], ...] in order -> twelve factors, January first, whose mean is 1. Each stretch between two
        # readings is spread over its days; a month counts as `weight_days` of usual driving beside what was seen of it.
        def factors(points, km_per_day, weight_days)
          days = [weight_days.to_f] * 12
          driven = [weight_days * km_per_day] * 12
          points.each_cons(2) { |(from, km), (to, upto)| spread(from, to, [upto - km, 0.0].max, days, driven) }
          rates = driven.zip(days).map { |km, count| km / count }
          mean = rates.sum / 12
          rates.map { |rate| rate / mean }
        end

        # Month by month, not day by day: the time between two readings may be years.
        def spread(from, to, driven_km, days, km)
          length = (to - from).to_i
          return unless length.positive?

          while from < to
            upto = [Date.new(from.year, from.month, 1) >> 1, to].min
            share = (upto - from).to_i
            days[from.month - 1] += share
            km[from.month - 1] += driven_km * share / length
            from = upto
          end
        end
      end
    end
  end
end
