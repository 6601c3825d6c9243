# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # The last mark of every inspected part, until a newer mark or a new part.
      class CurrentConditions
        # date: of the inspection; item, mark: entries of knowledge/conditions.yml
        Observation =
          Core::Value.define(:date, :axle_id, :side, :face, :item, :mark) do
            # -> "stop", "plan", "watch" or nil
            def severity = mark.severity
            # "left inner pad: oily"
            def text = "#{item.named(side, face)}: #{mark.label}"
            # -> sentence, or nil
            def caution = mark.caution
          end
        RENEWED_BY = { "pad" => "pad", "rotor_face" => "rotor", "lining" => "pad", "drum_face" => "drum" }.freeze

        # [Observation] -> { "marks_stop" => count, "marks_stop_text" => "Left piston: wet. ...", ... }, as the rules of
        # state want it.
        def self.measures(seen)
          seen
            .select(&:severity)
            .group_by(&:severity)
            .each_with_object({}) do |(severity, marks), found|
              found["marks_#{severity}"] = marks.length
              found["marks_#{severity}_text"] = marks
                .map { |mark| [Typography.sentence(mark.text), mark.caution].compact.join(" ") }
                .join(" ")
            end
        end

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # inspections of one vehicle, oldest first -> [Observation]
        def call(inspections)
          current = {}
          inspections.each do |inspection|
            renewed(inspection).each do |axle_id, part|
              current.reject! { |key, _| key[0] == axle_id && RENEWED_BY[key[3]] == part }
            end
            answered(inspection).each { |row| answer(current, row) }
            marked =
              inspection
                .conditions
                .select(&:mark)
                .group_by { |condition| condition.to_h.values_at(:axle_id, :side, :face, :item) }
            current.merge!(marked.transform_values { |conditions| [inspection.date, conditions] })
          end
          current.values.flat_map { |date, conditions| conditions.filter_map { |condition| seen(date, condition) } }
        end

        private

        def renewed(inspection)
          inspection
            .readings
            .select { |row| %w[fit resurfaced].include?(row.event) }
            .map { |row| [row.axle_id, row.part] }
        end
        def answered(inspection) = inspection.readings.select { |row| row.event == "answered" }

        # A job has seen to this mark; others of the same thing stand.
        def answer(current, row)
          item, mark = row.part.split(".")
          current.each do |key, (date, conditions)|
            next unless key.values_at(0, 1, 3) == [row.axle_id, row.side, item]

            current[key] = [date, conditions.reject { |condition| condition.mark == mark }]
          end
        end

        # A mark that is no longer in the knowledge says nothing.
        def seen(date, condition)
          item = @knowledge.condition_item(condition.item) or return
          mark = item.mark(condition.mark) or return
          Observation.new(date:, item:, mark:, **condition.to_h.slice(:axle_id, :side, :face))
        end
      end
    end
  end
end
