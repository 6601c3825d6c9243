# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Judgement
      # Which position is best measured next: where a good reading takes most off the spread of "when is the first pad due".
      # Each position's share in being the first, times how much its own spread of distance would shrink. A ranking, not a
      # forecast: the positions are taken as independent and the rate as known.
      module NextMeasurement
        Worth = Value.define(:position, :narrows_km, :sd_mm)

        module_function

        # positions: { id => { mean_mm:, sd_mm:, rate_mm_per_1000km: } }; reading_sd_mm: of the reading that would be made;
        # limit_mm -> [Worth], the most useful first
        def rank(positions, limit_mm:, reading_sd_mm:)
          lives = positions.transform_values { |now| [(now[:mean_mm] - limit_mm), 0].max / now[:rate_mm_per_1000km] * 1000 }
          spread = [positions.values.map { |now| now[:sd_mm] / now[:rate_mm_per_1000km] * 1000 }.max.to_f, 1.0].max
          first = lives.transform_values { |km| Math.exp(-(km - lives.values.min) / spread) }
          total = first.values.sum
          positions.map { |id, now| Worth.new(position: id, narrows_km: first[id] / total * gain_km(now, reading_sd_mm), sd_mm: now[:sd_mm]) }.sort_by { |worth| -worth.narrows_km }
        end

        # From the 10 to 90 % width before to that after, in km.
        def gain_km(now, reading_sd_mm)
          after = now[:sd_mm] * reading_sd_mm / Math.hypot(now[:sd_mm], reading_sd_mm)
          2 * 1.2816 * (now[:sd_mm] - after) / now[:rate_mm_per_1000km] * 1000
        end
      end
    end
  end
end
