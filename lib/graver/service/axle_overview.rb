# frozen_string_literal: true

require_relative "current_conditions"
require_relative "../core/judgement/axle_measures"
require_relative "../core/judgement/rotor_verdict"
require_relative "../core/value"

module Graver
  module Service
    # What can be said of one axle today: the forecast, its state in one of four words, and the rotors' verdicts.
    class AxleOverview
      # answer: Core::Wear::Outlook::Answer; judgement: Core::Judgement::RuleEngine::Judgement; measures: what it looked at;
      # seen: [CurrentConditions::Seen] of this axle;
      # rotor_verdicts: { side => Core::Judgement::RotorVerdict }; last: the newest look-over with readings of this axle.
      Overview = Core::Value.define(:file, :answer, :judgement, :measures, :rotor_verdicts, :last_look_over, :seen)

      def initialize(context)
        @context = context
        @knowledge = context.knowledge
      end

      # limit_mm: for "what if".
      def call(file, limit_mm: file.limit_mm)
        answer = answer(file, limit_mm)
        seen = CurrentConditions.new(@knowledge).call(file.look_overs).select { |each| each.axle_id == file.axle.id }
        measures = Core::Judgement::AxleMeasures.call(answer, floor_mm: @knowledge.floor_pad_limit_mm, discard_mm: file.discard_mm).merge(CurrentConditions.measures(seen))
        Overview.new(file:, answer:, measures:, seen:, judgement: @knowledge.state_engine.call(measures),
                     rotor_verdicts: rotor_verdicts(file, answer), last_look_over: last_look_over(file))
      end

      private

      # Today's odometer is not known: it is carried on from the last one at the usual driving.
      def answer(file, limit_mm)
        driving = @knowledge.outlook.driving(file.odometer)
        last_date, last_km = file.odometer.max || [@context.today, 0.0]
        days = [(@context.today - last_date).to_i, 0].max
        asked = { entries: file.entries, specifications: file.specifications(limit_mm:), driving:, as_of_date: @context.today,
                  as_of_km: last_km + (driving.km_per_day * days) }
        @context.outlooks.fetch(asked) { @knowledge.outlook.call(**asked) }
      end

      def rotor_verdicts(file, answer)
        rules = { coverage: @knowledge.rotor_rules.dig("coverage", "value"), outlast_chance: @knowledge.rotor_rules.dig("outlast_chance", "value") }
        file.axle.sides.to_h do |side|
          [side, Core::Judgement::RotorVerdict.call(thickness: rotor_now(file, answer, side), discard_mm: file.discard_mm,
                                                    life: answer.rotors&.components&.fetch(side, nil), next_pads_km: next_pads_km(file, answer), rules:)]
        end
      end

      # The newest reading, or what is believed of today where that is thinner: a rotor is never judged thicker than it was read.
      def rotor_now(file, answer, side)
        reading = file.newest_reading("rotor", side) or return
        newest = @knowledge.normalise.call(reading, file.part("rotor"))
        measured = { mean_mm: newest.value_mm, sd_mm: newest.standard_uncertainty_mm }
        [measured, answer.rotors&.now&.fetch(side, nil)].compact.min_by { |now| now[:mean_mm] }
      end

      # How long a new set would last at the pace of the fastest pad of this one.
      def next_pads_km(file, answer)
        return unless answer.pads

        new_mm = file.length_mm("pad.new_thickness") || @knowledge.measurement.dig("new_parts", "pad", "typical_mm")
        fastest = answer.pads.rates.values.map { |rates| rates[1] }.max
        [new_mm - answer.pads.limit_mm, 0].max / fastest * 1000
      end

      def last_look_over(file)
        file.look_overs.reverse.find { |look_over| look_over.readings.any? { |row| row.axle_id == file.axle.id && row.event == "reading" } }
      end
    end
  end
end
