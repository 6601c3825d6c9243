# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Questions an odometer that has gone further than the usual driving explains.
      module OdometerQuestion
        # code: "too_far_ahead" or "other_distance_unit"; distances in km, other_unit: the unit in which it would fit.
        Question = Value.define(:code, :driven_km, :usual_km, :other_unit)

        module_function

        # before_km and days since it; usual_km_per_day; alternatives: { "mi" => km the same figures would be };
        # thresholds: { odometer_times:, odometer_least_km: } -> Question or nil
        def call(km:, before_km:, days:, usual_km_per_day:, alternatives:, odometer_times:, odometer_least_km:, **)
          usual = usual_km_per_day * [days, 1].max
          most = [usual * odometer_times, odometer_least_km].max
          driven = km - before_km
          return if driven <= most

          other, = alternatives.find { |_, other_km| (other_km - before_km).between?(0, most) }
          Question.new(
            code: other ? "other_distance_unit" : "too_far_ahead",
            driven_km: driven,
            usual_km: usual,
            other_unit: other
          )
        end
      end
    end
  end
end
