# frozen_string_literal: true

require_relative "axle_answer"
require_relative "axle_findings"
require_relative "current_conditions"
require_relative "schools"
require_relative "../core/judgement/axle_measures"
require_relative "../core/judgement/rotor_plan"
require_relative "../core/judgement/rotor_verdict"
require_relative "../core/value"

module Graver
  module Service
    # What can be said of one axle today: the forecast, its state in one of four words, and the rotors' verdicts.
    class AxleOverview
      # answer: Core::Wear::Outlook::Answer; judgement: Core::Judgement::RuleEngine::Judgement; measures: what it looked at;
      # rotor_plan: Core::Judgement::RotorPlan; seen: [CurrentConditions::Seen] of this axle; findings: [AxleFindings::Found];
      # rotor_verdicts: { side => Core::Judgement::RotorVerdict }; last: the newest look-over with readings of this axle.
      Overview = Core::Value.define(:file, :answer, :judgement, :measures, :rotor_verdicts, :rotor_plan, :last_look_over, :seen, :findings)

      def initialize(context)
        @context = context
        @knowledge = context.knowledge
      end

      # limit_mm: for "what if".
      def call(file, limit_mm: file.limit_mm)
        answer = AxleAnswer.new(@context).call(file, limit_mm:)
        all_seen = CurrentConditions.new(@knowledge).call(file.look_overs)
        seen = all_seen.select { |each| each.axle_id == file.axle.id }
        findings = AxleFindings.new(@knowledge).call(file, answer, all_seen)
        verdicts = rotor_verdicts(file, answer)
        measures = measures(file, answer, seen, findings)
        Overview.new(file:, answer:, measures:, seen:, findings:, judgement: @knowledge.state_engine.call(measures), rotor_verdicts: verdicts,
                     rotor_plan: rotor_plan(file, answer, verdicts, all_seen, findings), last_look_over: last_look_over(file))
      end

      private

      # Pads have rules of state of their own, by the forecast; everything else that was found counts as it is.
      def measures(file, answer, seen, findings)
        Core::Judgement::AxleMeasures.call(answer, floor_mm: @knowledge.floor_pad_limit_mm, discard_mm: file.discard_mm)
                                     .merge(CurrentConditions.measures(seen + findings.reject { |found| found.topic == "pads" }))
      end

      def rotor_plan(file, answer, verdicts, seen, findings)
        return Core::Judgement::RotorPlan.new(outcome: "unmeasured", because: "thickness", cut_left_mm: nil) if verdicts.empty?

        Core::Judgement::RotorPlan.call(verdicts: verdicts.values, faces: faces(file, seen, findings), school: Schools.new(@context).chosen.fetch("rotors"),
                                        least_mm: file.length_mm("rotor.machine_to_thickness") || file.discard_mm, wear_mm: rotor_wear_mm(file, answer),
                                        cut_mm: @knowledge.schools.fetch("cut_mm"), order: @knowledge.rotor_rules.fetch("order"))
      end

      # The gravest word of what was seen of the faces, felt in the pedal or measured round them.
      def faces(file, seen, findings)
        marks = seen.select { |mark| mark.axle_id == file.axle.id && mark.item["id"] == "rotor_face" }.filter_map(&:word)
        words = marks + findings.select { |found| found.topic == "rotors" }.map(&:word)
        %w[stop plan watch].find { |word| words.include?(word) }
      end

      # Over the life of the next pads, at the pace of the faster rotor.
      def rotor_wear_mm(file, answer)
        km = next_pads_km(file, answer)
        km && answer.rotors&.readings&.positive? ? answer.rotors.rates.values.map { |rates| rates[1] }.max * km / 1000 : nil
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
