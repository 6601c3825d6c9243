# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # When an axle is inspected next, or its pads renewed without another inspection.
      module LookAgain
        module_function

        # Core::Schedule::AxleForecast::Answer; most_days: between two inspections -> Hash, or nil where nothing says
        def call(answer, most_days)
          distance_km = answer.look_again_at_either_km or return
          {
            distance_km: distance_km.round,
            date: answer.look_again_date(most_days).iso8601,
            renew: answer.renew_next?(most_days),
            chance: answer.look_again_chance(most_days).round(3)
          }
        end
      end
    end
  end
end
