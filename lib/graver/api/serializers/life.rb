# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A life as distances from now and days.
      module Life
        module_function

        def call(answer, life)
          return unless life

          {
            distance_km: Core::Wear::Life.keyed(life.quantiles, &:round),
            date: Core::Wear::Life.keyed(answer.dates(life), &:iso8601),
            chance_now: life.chance_now.round(4)
          }
        end
      end
    end
  end
end
