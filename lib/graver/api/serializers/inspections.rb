# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # One inspection as logged: every reading with its flags and corrections, every mark.
      class Inspections
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # Service::Measuring::Inspections::Logged, [Service::Jobs::BoltsReached::Line]
        def call(logged, bolts)
          inspection, vehicle, photos, @thinnest = logged.deconstruct
          axles = vehicle.axles.to_h { |axle| [axle.id, axle.name] }
          {
            id: inspection.id,
            vehicle_id: vehicle.id,
            vehicle_name: vehicle.name,
            distance_unit: vehicle.distance_unit,
            date: inspection.date.iso8601,
            odometer: {
              value: inspection.odometer_value,
              unit: inspection.odometer_unit
            },
            note: inspection.note,
            done_by: inspection.done_by,
            void: inspection.void,
            imported: !inspection.import_id.nil?,
            corrections: inspection.corrections.map { |correction| correction(correction) },
            readings: inspection.readings.map { |row| reading(row, axles) },
            marks: inspection.conditions.map { |condition| mark(condition, axles, inspection.odometer_unit) },
            photos: Photos.call(photos),
            bolts: bolts.map { |line| { axle: line.axle, label: line.label, reached: Torques.reached(line.entries) } }
          }
        end

        private

        def correction(correction)
          {
            date: correction.recorded_at[0, 10],
            done_by: correction.done_by,
            reason: correction.reason,
            voids: correction.change["void"],
            change: correction.change.map { |field, value| changed(field, value) }.join(", ")
          }
        end

        def changed(field, value)
          return Say::Texts.t(value ? "log.struck_out" : "log.restored") if field == "void"

          return Say::Formats.with_unit(Say::Formats.number(value.round), "km") if field == "odometer_km"

          Say::Texts.t("log.now", field: field.tr("_", " "), value: value.nil? ? Say::Texts.t("log.empty") : value)
        end

        def reading(row, axles)
          {
            id: row.id,
            axle: axles[row.axle_id],
            event: row.event,
            event_label: Say::Texts.t("log.event_#{row.event}"),
            label: label(row, axles),
            part: row.part,
            side: row.side,
            pad: row.pad,
            place: row.place,
            value: row.value,
            upper: row.upper,
            unit: row.unit,
            method: row.method,
            method_label: method_label(row.method),
            overall: row.overall,
            thinnest: @thinnest.include?(row.id),
            void: row.void,
            entered: row.entered,
            kept: !row.doubt.nil?,
            simulated: row.simulated,
            flags:
              row.flags.map do |flag|
                { question: flag.question, value: [flag.value, flag.unit].compact.join(" "), answer: answer(flag) }
              end,
            corrections: row.corrections.map { |correction| correction(correction) }
          }
        end

        def label(row, axles)
          [
            AxleName.word(axles[row.axle_id]),
            row.side,
            row.pad,
            part(row),
            row.place > 1 ? Say::Texts.t("log.place", count: row.place) : nil
          ].compact.join(" ")
        end

        # "slide pins: seized" of a mark that a job answered
        def part(row)
          return Say::Texts.part(Service::Household::BrakeKind.part_of(row)) unless row.event == "answered"

          item, mark = row.part.split(".")
          known = @knowledge.condition_item(item)
          known ? "#{known.label.downcase}: #{known.marks.find { |each| each.id == mark }&.label || mark}" : row.part
        end

        def method_label(method)
          method &&
            (
              if method == "percent"
                @knowledge.measurement.dig("percent", "label")
              else
                @knowledge.measurement.dig("methods", method, "label")
              end
            )
        end

        def answer(flag)
          text = @knowledge.questions.dig("answers", flag.answer) || flag.answer
          Service::Base::Wording.tokens(
            text,
            { unit: Say::Texts.t("log.another_unit"), part: Say::Texts.t("log.part") }
          )
        end

        # unit: of the odometer that day
        def mark(condition, axles, unit)
          place = [AxleName.word(axles[condition.axle_id]), condition.side, condition.face].compact.join(" ")
          common = {
            id: condition.id,
            place:,
            axle: axles[condition.axle_id],
            side: condition.side,
            void: condition.void,
            simulated: condition.simulated,
            corrections: condition.corrections.map { |correction| correction(correction) }
          }
          figure = @knowledge.condition_figure(condition.item)
          if figure
            return(
              {
                **common,
                item: figure.label,
                mark: "#{condition.value} #{figure.unit_beside(unit)}",
                mark_id: nil,
                entered: condition.entered,
                severity: nil,
                choices: []
              }
            )
          end

          item = @knowledge.condition_item(condition.item)
          choices = item ? item.marks.map { |each| each.to_h.slice(:id, :label) } : []
          {
            **common,
            item: item ? item.label : condition.item,
            mark: label_of(choices, condition.mark),
            mark_id: condition.mark,
            entered: label_of(choices, condition.entered),
            severity: item&.mark(condition.mark)&.severity,
            choices:
          }
        end

        def label_of(choices, id) = choices.find { |each| each[:id] == id }&.fetch(:label) || id
      end
    end
  end
end
