# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The wear screen beyond the forecast itself: what if, what to measure next, and how earlier forecasts did.
      class AxleForecasts
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Forecast::WhatIf::Compared
        def what_if(compared)
          { said: compared.said, before: side(compared.before), after: side(compared.after) }
        end

        # Service::Forecast::Quality::Found -> { worth:, forecasts:, choices: }
        def quality(found)
          { worth: worth(found.worth), forecasts: found.scored.map { |each| forecast(each) }, choices: }
        end

        private

        # [Core::Wear::MeasurementValue::Worth]
        def worth(ranked)
          ranked.map do |worth|
            {
              positions: worth.positions,
              method: worth.method,
              narrows: worth.narrows.round(3),
              narrows_km: worth.narrows_km.round
            }
          end
        end

        def choices
          { uses: choice(@knowledge.what_if.fetch("uses")), pads: choice(@knowledge.what_if.fetch("pads")) }
        end

        def side(answer)
          {
            pads_life: RemainingLife.call(answer, answer.pads&.first),
            rotors_life: RemainingLife.call(answer, answer.rotors&.first),
            look_again: LookAgain.call(answer, @knowledge.look_again_most_days) || now(answer)
          }
        end

        # Nothing is known that could wait.
        def now(answer) = { distance_km: 0, date: answer.as_of_date.iso8601, renew: false, chance: 0.0 }

        def choice(kinds)
          kinds.map do |id, kind|
            { id:, label: kind["label"], factor: kind["factor"], source: @knowledge.source_title(kind["source"]) }
          end
        end

        def forecast(scored)
          given, verdict = scored.given, scored.verdict
          low, middle, high = given.quantiles.values_at(0.1, 0.5, 0.9).map(&:round)
          {
            date: given.given_on.iso8601,
            odometer_km: given.as_of_km.round,
            limit_mm: given.limit_mm,
            low_km: low,
            middle_km: middle,
            high_km: high,
            look_again_km: given.look_again_km.round,
            afterwards: given.afterwards,
            was_km: verdict.was_km&.round,
            at_least_km: verdict.at_least_km.round,
            replaced: verdict.replaced,
            interval_covered: verdict.interval_covered,
            late: verdict.late
          }
        end
      end
    end
  end
end
