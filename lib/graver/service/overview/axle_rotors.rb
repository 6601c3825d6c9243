# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What becomes of an axle's rotors: today, and with new pads.
      class AxleRotors
        # verdicts: { side => Core::Judgement::RotorVerdict }; plan: Core::Judgement::RotorPlan; conditions: [Condition]
        Judged = Core::Value.define(:verdicts, :plan, :conditions)
        # side: or nil; leaves: "replace", "cut" or "measure"; text: "deep grooves on the left outer face, seen 4 May
        # 2026"; reasonable: the owner may do otherwise with a reason
        Condition = Core::Value.define(:id, :side, :leaves, :text, :reasonable)
        LEAVES = %w[replace cut measure].freeze
        # Fewer places round a rotor miss its variation.
        PLACES_FOR_VARIATION = 4
        # Findings that say why the pedal pulsates.
        EXPLAIN_PULSATION = %w[rotor-variation rotor-runout].freeze

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
          @rules = context.knowledge.rotor_rules
        end

        # file: AxleRecord; answer: Core::Schedule::AxleForecast::Answer; seen: [CurrentConditions::Observation] of the
        # vehicle; findings: [AxleFindings::Found] of the axle; with_pads: are new pads to go on? -> Judged
        def call(file, answer, seen, findings, with_pads:)
          verdicts = verdicts(file, answer, with_pads ? next_pads_km(file, answer) : nil)
          conditions = conditions(file, seen, findings)
          Judged.new(verdicts:, conditions:, plan: plan(file, answer, verdicts.values, conditions, with_pads))
        end

        # The verdict on each side: [{ side:, outcome:, sentence:, change: }]
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
            **verdict
              .to_h
              .slice(:reading_mm, :error_mm, :now_mm, :now_error_mm, :discard_mm, :spare_mm, :chance)
              .transform_keys(&:to_s)
          }
          said = judged.plan.because == "condition" ? text.fetch("by_condition") : by_evidence(text, verdict)
          said = "#{said} #{text["outlasts"]}" if text["outlasts"] && verdict.chance &&
            judged.plan.because == "thickness"
          Base::Wording.new(distance_unit).fill(said, tokens)
        end

        def self.by_evidence(text, verdict) = text["by_#{verdict.because}"] || text.fetch("sentence")
        private_class_method :sentence, :by_evidence

        private

        def plan(file, answer, verdicts, conditions, with_pads)
          if verdicts.empty?
            return Core::Judgement::RotorPlan.new(outcome: "unmeasured", because: "thickness", cut_left_mm: nil)
          end

          leaves = LEAVES.find { |left| conditions.any? { |condition| condition.leaves == left } }
          Core::Judgement::RotorPlan.call(
            verdicts:,
            leaves:,
            approach: with_pads ? Household::Approaches.new(@context).chosen.fetch("rotors") : nil,
            discard_mm: file.discard_mm,
            machine_to_mm: file.length_mm("rotor.machine_to_thickness"),
            wear_mm: wear_mm(file, answer),
            cut_mm: @knowledge.approaches.fetch("cut_mm"),
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
                    .map { |found| condition(rule, found.side, placed(found)) }
                end
              ) + felt(rule, file, seen, findings)
            end
        end

        # "Too much thickness variation (left)"
        def placed(found) = [found.title, *("(#{found.side})" if found.side)].join(" ")

        def condition(rule, side, text)
          Condition.new(
            id: rule["id"],
            side:,
            leaves: rule["leaves"],
            text: text[0].downcase + text[1..],
            reasonable: rule["unless_reason"] || false
          )
        end

        def marked(rule, file, seen)
          here =
            seen.select { |mark| mark.axle_id == file.axle.id && "#{mark.item.id}.#{mark.mark.id}" == rule["mark"] }
          here.map do |mark|
            condition(
              rule,
              mark.side,
              Message.of("findings.face_seen", side: mark.side, face: mark.face, mark: mark.mark.label, day: mark.date)
            )
          end
        end

        # Symptoms felt in the pedal that the rotors' findings do not explain -> [Condition]
        def felt(rule, file, seen, findings)
          return [] unless rule["felt"] && seen.any? { |mark| "#{mark.item.id}.#{mark.mark.id}" == rule["felt"] }
          return [] if findings.any? { |found| EXPLAIN_PULSATION.include?(found.rule) }

          read = file.axle.sides.all? { |side| read_all_round?(file, side) }
          [condition(rule, nil, read ? rule["within"] : rule["label"])]
        end

        # Read at enough places, by a tool that would show a variation that can be felt.
        def read_all_round?(file, side)
          rows, = file.newest_rows("rotor", side)
          rows.to_a.length >= PLACES_FOR_VARIATION && tells?(file, rows)
        end

        def tells?(file, rows)
          survey =
            Core::Measurement::Survey.of(
              rows.map { |row| @knowledge.normalise.call(file.reading_of(row), file.part("rotor")) }
            )
          usual = @knowledge.measurement.dig("usual_limits", "thickness_variation_mm", "felt")
          survey.told? || survey.chance_mm <= usual
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
                thickness: read(file, side),
                believed: believed(file, answer, side),
                discard_mm: file.discard_mm,
                life: answer.rotors&.components&.fetch(side, nil),
                next_pads_km:,
                rules:
              )
            ]
          end
        end

        # The thinnest place of the newest reading, as read.
        def read(file, side)
          reading = file.newest_reading("rotor", side) or return
          newest = @knowledge.normalise.call(reading, file.part("rotor"))
          {
            mean_mm: newest.value_mm,
            sd_mm: newest.standard_uncertainty_mm,
            rough: !@knowledge.precise?(reading.method)
          }
        end

        # Today's thickness by the forecast. A new rotor of known thickness is believed as far as it goes, until it is
        # read.
        def believed(file, answer, side)
          return unless file.newest_reading("rotor", side) || fitted?(file, side)

          answer.rotors&.now&.fetch(side, nil)
        end

        def fitted?(file, side)
          first = file.since_fit("rotor", side).first
          first&.renewal? && (first.reading || file.data.key?("rotor.new_thickness"))
        end

        # How long a new set would last at the pace of the fastest pad of this one.
        def next_pads_km(file, answer)
          return unless answer.pads

          new_mm = file.new_pad_mm
          fastest = answer.pads.rates.values.map { |rates| rates[1] }.max
          [new_mm - answer.pads.limit_mm, 0].max / fastest * 1000
        end
      end
    end
  end
end
