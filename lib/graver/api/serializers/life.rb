# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # A life as distances from now and days.
      module Life
        module_function

        def call(answer, life)
          return unless life

          { distance_km: keyed(life.quantiles, &:round), date: keyed(answer.dates(life), &:iso8601), chance_now: life.chance_now.round(4) }
        end

        def keyed(quantiles) = quantiles.to_h { |probability, value| [format("p%02d", (probability * 100).round), yield(value)] }
      end
    end
  end
end
