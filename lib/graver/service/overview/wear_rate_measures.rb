# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Which pads of a corner have probably begun to wear faster on the set that is on, and since when.
      class WearRateMeasures
        # answer: Core::Schedule::AxleForecast::Answer; pads: names of the two at a corner
        def initialize(answer, pads)
          @answer = answer
          @pads = pads
        end

        # -> { "sped_inner_chance" => 0.9, "sped_outer_chance" => 0.02, "sped_chance" => 0.9, ... } of a side
        def of(side)
          return {} unless @answer.pads&.observed&.positive?

          supposed = @pads.to_h { |pad| [pad, @answer.pads.changed.fetch("#{side}_#{pad}", NOBODY)] }
          pad, most = supposed.max_by { |_, change| change[:chance] }
          return {} unless most[:since_km]

          {
            **supposed.to_h { |each, change| ["sped_#{each}_chance", change[:chance]] },
            "sped_chance" => most[:chance],
            "sped_pad" => pad,
            "sped_on" => @answer.day_at(most[:since_km]).iso8601,
            "sped_mm_per_1000km" => @answer.pads.rates.fetch("#{side}_#{pad}")[1]
          }
        end

        NOBODY = { chance: 0.0, since_km: nil }.freeze
        private_constant :NOBODY
      end
    end
  end
end
