# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The bed-in of a job: stops, speeds and rests.
      module BedIns
        SAID = { "cold" => "coach.cold", "warm" => "coach.warm", "hot" => "coach.hot" }.freeze

        module_function

        # Service::Jobs::BedInCoach::Answer
        def call(answer)
          {
            approach: answer.approach,
            label: answer.label,
            series: answer.series&.to_h,
            axles: answer.axles.map { |axle| axle(axle) },
            assumed: answer.assumed,
            warm: answer.warm,
            hot: answer.hot
          }
        end

        def axle(axle)
          {
            axle: axle.axle,
            rotor_kg: axle.rotor_kg.round(1),
            estimated: axle.estimated,
            verdict: axle.verdict,
            sentence:
              Say::Texts.t(
                SAID.fetch(axle.verdict),
                peak: Say::Formats.temperature(axle.stops.map(&:peak).max, step: 10)
              ),
            stops: axle.stops.map { |stop| { number: stop.number, before: stop.before.round, peak: stop.peak.round } }
          }
        end
      end
    end
  end
end
