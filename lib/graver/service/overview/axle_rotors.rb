# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What becomes of an axle's rotors: today, and with new pads.
      class AxleRotors
        # verdicts: { side => Core::Judgement::RotorVerdict }; plan: Core::Judgement::RotorPlan; conditions: [Condition]
        Judged = Core::Value.define(:verdicts, :plan, :conditions)
        # side: or nil; leaves: "replace", "cut" or "measure"; text: "left outer face: deep grooves, seen 4 May 2026"
        Condition = Core::Value.define(:id, :side, :leaves, :text)
        LEAVES = %w[replace cut measure].freeze
        # Fewer places round a rotor miss its variation.
        PLACES_FOR_VARIATION = 4

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
          @rules = context.knowledge.rotor_rules
        end

        # file: AxleRecord; answer: Core::Wear::Outlook::Answer; seen: [CurrentConditions::Seen] of the vehicle;
        # findings:
        # [AxleFindings::Found] of the axle; with_pads: are new pads to go on? -> Judged
        def call(file, answer, seen, findings, with_pads:)
          verdicts = verdicts(file, answer, with_pads ? next_pads_km(file, answer) : nil)
          conditions = conditions(file, seen, findings)
          Judged.new(verdicts:, conditions:, plan: plan(file, answer, verdicts.values, conditions, with_pads))
        end

        # What is said of each side: [{ side:, outcome:, sentence:, change: }]
        def self.said(knowledge, judged, distance_unit)
          texts = knowledge.rotor_rules.fetch("verdicts")
          judged.verdicts.map do |side, verdict|
            outcome = judged.plan.because == "thickness" ? verdict.outcome : judged.plan.outcome
            text = texts.fetch(outcome)
            {
              side:,
              outcome:,
              sentence: sentence(text, side, verdict, judged, distance_unit),
              change: text.fetch("change")
            }
          end
        end

        def self.sentence(text, side, verdict, judged, distance_unit)
          tokens = {
            "side" => side.capitalize,
            "cut_left_mm" => judged.plan.cut_left_mm,
            "reasons" => judged.conditions.map(&:text).uniq.join("; "),
            **verdict.to_h.slice(:reading_mm, :error_mm, :discard_mm, :spare_mm, :chance).transform_keys(&:to_s)
          }
          said = judged.plan.because == "condition" ? text.fetch("by_condition") : text.fetch("sentence")
          said = "#{said} #{text["outlasts"]}" if text["outlasts"] && verdict.chance &&
            judged.plan.because == "thickness"
          Base::Wording.new(distance_unit).fill(said, tokens)
        end
        private_class_method :sentence

        private

        def plan(file, answer, verdicts, conditions, with_pads)
          if verdicts.empty?
            return Core::Judgement::RotorPlan.new(outcome: "unmeasured", because: "thickness", cut_left_mm: nil)
          end

          leaves = LEAVES.find { |left| conditions.any? { |condition| condition.leaves == left } }
          Core::Judgement::RotorPlan.call(
            verdicts:,
            leaves:,
            school: with_pads ? Axles::Schools.new(@context).chosen.fetch("rotors") : nil,
            discard_mm: file.discard_mm,
            machine_to_mm: file.length_mm("rotor.machine_to_thickness"),
            wear_mm: wear_mm(file, answer),
            cut_mm: @knowledge.schools.fetch("cut_mm"),
            order: @rules.fetch("order")
          )
        end

        def conditions(file, seen, findings)
          @rules
            .fetch("conditions")
            .flat_map do |rule|
              (
                if rule["mark"]
                  marked(rule, file, seen)
                else
                  findings
                    .select { |found| found.rule == rule["finding"] }
                    .map { |found| condition(rule, found.side, found.title) }
                end
              ) + (rule["felt"] && felt?(rule, file, seen) ? [condition(rule, nil, rule["label"])] : [])
            end
        end

        def condition(rule, side, text)
          Condition.new(
            id: rule["id"],
            side:,
            leaves: rule["leaves"],
            text: [side, text[0].downcase + text[1..]].compact.join(" ")
          )
        end

        def marked(rule, file, seen)
          here =
            seen.select { |mark| mark.axle_id == file.axle.id && "#{mark.item.id}.#{mark.mark.id}" == rule["mark"] }
          here.map do |mark|
            condition(
              rule,
              mark.side,
              Texts.say("findings.face_seen", face: mark.face, mark: mark.mark.label, day: mark.date)
            )
          end
        end

        # Felt in the pedal, and not explained by rotors that were read all round.
        def felt?(rule, file, seen)
          seen.any? { |mark| "#{mark.item.id}.#{mark.mark.id}" == rule["felt"] } &&
            file.axle.sides.any? { |side| file.newest_rows("rotor", side)&.first.to_a.length < PLACES_FOR_VARIATION }
        end

        # Over the life of the next pads, at the pace of the faster rotor.
        def wear_mm(file, answer)
          km = next_pads_km(file, answer)
          return unless km && answer.rotors&.readings&.positive?
          answer.rotors.rates.values.map { |rates| rates[1] }.max * km / 1000
        end

        def verdicts(file, answer, next_pads_km)
          rules = { coverage: @rules.dig("coverage", "value"), outlast_chance: @rules.dig("outlast_chance", "value") }
          file.axle.sides.to_h do |side|
            [
              side,
              Core::Judgement::RotorVerdict.call(
                thickness: now(file, answer, side),
                discard_mm: file.discard_mm,
                life: answer.rotors&.components&.fetch(side, nil),
                next_pads_km:,
                rules:
              )
            ]
          end
        end

        # The newest reading, or what is believed of today where that is thinner: a rotor is never judged thicker than
        # it was read.
        # A new one of known thickness is believed as far as it goes, until it is read.
        def now(file, answer, side)
          reading = file.newest_reading("rotor", side)
          return fitted?(file, side) ? answer.rotors&.now&.fetch(side, nil) : nil unless reading

          newest = @knowledge.normalise.call(reading, file.part("rotor"))
          measured = { mean_mm: newest.value_mm, sd_mm: newest.standard_uncertainty_mm }
          [measured, answer.rotors&.now&.fetch(side, nil)].compact.min_by { |now| now[:mean_mm] }
        end

        def fitted?(file, side)
          first = file.since_fit("rotor", side).first
          first&.renewal? && (first.reading || file.data.key?("rotor.new_thickness"))
        end

        # How long a new set would last at the pace of the fastest pad of this one.
        def next_pads_km(file, answer)
          return unless answer.pads

          new_mm = file.length_mm("pad.new_thickness") || @knowledge.measurement.dig("new_parts", "pad", "typical_mm")
          fastest = answer.pads.rates.values.map { |rates| rates[1] }.max
          [new_mm - answer.pads.limit_mm, 0].max / fastest * 1000
        end
      end
    end
  end
end
