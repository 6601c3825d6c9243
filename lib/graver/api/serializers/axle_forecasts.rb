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
            look_again: look_again(answer, @knowledge.look_again_most_days)
          }
        end

        def look_again(answer, most_days)
          {
            distance_km: answer.look_again_at_either_km.to_f.round,
            date: (answer.look_again_date(most_days) || answer.as_of_date).iso8601,
            renew: answer.renew_next?(most_days),
            chance: answer.look_again_chance(most_days).to_f.round(3)
          }
        end

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
