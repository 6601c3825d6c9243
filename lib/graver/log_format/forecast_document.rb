# frozen_string_literal: true

module Graver
  module LogFormat
    # The forecast as the open JSON format writes it (docs/formats.md).
    class ForecastDocument
      FORMAT = "graver-forecast/1"

      # answers: { "front" => Core::Schedule::AxleForecast::Answer, ... } -> Hash
      def call(as_of_date, as_of_km, answers)
        {
          "format" => FORMAT,
          "as_of" => {
            "date" => as_of_date.iso8601,
            "odometer_km" => as_of_km.round(1)
          },
          "axles" => answers.transform_values { |answer| axle(answer) }
        }
      end

      private

      def axle(answer)
        document = {
          "first_pad" => first(answer, answer.pads),
          "pads" => components(answer.pads),
          "first_rotor" => first(answer, answer.rotors),
          "rotors" => components(answer.rotors),
          "look_again_km" => answer.look_again_km&.round(1),
          "doubted" => doubted(answer)
        }
        document["why"] = why(answer) if answer.why.any?
        document
      end

      def first(answer, result)
        return unless result

        {
          "distance_km" => distances(result.first),
          "date" => Core::Wear::RemainingLife.keyed(answer.dates(result.first), &:iso8601)
        }
      end

      def components(result) = result&.components&.transform_values { |life| { "distance_km" => distances(life) } }
      def distances(life) = Core::Wear::RemainingLife.keyed(life.quantiles) { |km| km.round(1) }

      def doubted(answer)
        [answer.pads, answer.rotors].compact
          .flat_map(&:doubted)
          .sort_by { |doubt| doubt[:ref] }
          .map do |doubt|
            {
              "line" => doubt[:ref],
              "why" => "does not fit the other readings (chance of being wrong #{(doubt[:chance] * 100).round} %)"
            }
          end
      end

      def why(answer)
        keys = { "pad" => %w[first_pad pads], "rotor" => %w[first_rotor rotors] }
        reasons = answer.why.flat_map { |part, reason| keys.fetch(part).map { |key| [key, reason] } }.to_h
        reasons["look_again_km"] = reasons.values.first unless answer.look_again_km
        reasons
      end
    end
  end
end
