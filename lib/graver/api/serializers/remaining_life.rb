# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A remaining life as distances from now and days.
      module RemainingLife
        module_function

        def call(answer, life)
          return unless life

          {
            distance_km: Core::Wear::RemainingLife.keyed(life.quantiles, &:round),
            date: Core::Wear::RemainingLife.keyed(answer.dates(life), &:iso8601),
            chance_now: life.chance_now.round(4)
          }
        end
      end
    end
  end
end
