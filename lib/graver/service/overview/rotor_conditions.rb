# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What was seen, measured or felt of an axle's rotors or drums that their thickness doesn't tell.
      class RotorConditions
        # side: or nil; leaves: "replace", "cut" or "measure"; text: "deep grooves on the left outer face, seen 4 May
        # 2026"; reasonable: the owner may do otherwise with a reason
        Condition = Core::Value.define(:id, :side, :leaves, :text, :reasonable)
        # Fewer places round a rotor miss its variation.
        PLACES_FOR_VARIATION = 4
        # Findings that say why the pedal pulsates.
        EXPLAIN_PULSATION = %w[rotor-variation rotor-runout].freeze

        # file: AxleRecord; rules: of rotors or drums
        def initialize(knowledge, file, rules)
          @knowledge = knowledge
          @file = file
          @rules = rules
        end

        # seen: [CurrentConditions::Observation] of the vehicle; findings: [AxleFindings::Found] of the axle ->
        # [Condition]
        def call(seen, findings)
          @rules
            .fetch("conditions")
            .flat_map { |rule| marked(rule, seen) + found(rule, findings) + felt(rule, seen, findings) }
        end

        private

        def found(rule, findings)
          mine = rule["finding"] ? findings.select { |found| found.rule == rule["finding"] } : []
          mine.map { |found| condition(rule, found.side, placed(found)) }
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

        def marked(rule, seen)
          here = seen.select { |mark| mark.axle_id == @file.axle.id && named?(mark, rule["mark"]) }
          here.map { |mark| condition(rule, mark.side, seen_on(mark)) }
        end

        def seen_on(mark)
          where = { side: mark.side, mark: mark.mark.label, day: mark.date }
          return Message.of("findings.drum_seen", **where) if @file.drum?

          Message.of("findings.face_seen", face: mark.face, **where)
        end

        def named?(mark, name) = "#{mark.item.id}.#{mark.mark.id}" == name

        # Symptoms felt in the pedal that the rotors' findings do not explain -> [Condition]
        def felt(rule, seen, findings)
          return [] unless rule["felt"] && seen.any? { |mark| named?(mark, rule["felt"]) }
          return [] if findings.any? { |found| EXPLAIN_PULSATION.include?(found.rule) }

          read = @file.axle.sides.all? { |side| read_all_round?(side) }
          [condition(rule, nil, read ? rule["within"] : rule["label"])]
        end

        # Read at enough places, by a tool that would show a variation that can be felt.
        def read_all_round?(side)
          rows, = @file.newest_rows("rotor", side)
          rows.to_a.length >= PLACES_FOR_VARIATION && tells?(rows)
        end

        def tells?(rows)
          places = rows.map { |row| @knowledge.normalise.call(@file.reading_of(row), @file.part("rotor")) }
          survey = Core::Measurement::Survey.of(places)
          usual = @knowledge.measurement.dig("usual_limits", "thickness_variation_mm", "felt")
          survey.told? || survey.chance_mm <= usual
        end
      end
    end
  end
end
