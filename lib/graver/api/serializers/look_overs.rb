# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # One look-over as logged: every reading with its doubts and corrections, every mark.
      class LookOvers
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # As the service finds it. Raises NotFound.
        def self.of(context, id)
          logged = Service::Measuring::LookOvers.new(context).find(id)
          new(context.knowledge).call(logged, Service::Planning::BoltsReached.new(context).call(logged.look_over))
        end

        # Service::Measuring::LookOvers::Logged, [Service::Planning::BoltsReached::Line]
        def call(logged, bolts)
          look_over, vehicle, photos = logged.deconstruct
          axles = vehicle.axles.to_h { |axle| [axle.id, axle.name] }
          {
            id: look_over.id,
            vehicle_id: vehicle.id,
            vehicle_name: vehicle.name,
            distance_unit: vehicle.distance_unit,
            date: look_over.date.iso8601,
            odometer: {
              value: look_over.odometer_value,
              unit: look_over.odometer_unit
            },
            note: look_over.note,
            void: look_over.void,
            imported: !look_over.import_id.nil?,
            corrections: look_over.corrections.map { |correction| correction(correction) },
            readings: look_over.readings.map { |row| reading(row, axles) },
            marks: look_over.conditions.map { |condition| mark(condition, axles, look_over.odometer_unit) },
            photos: Photos.call(photos),
            bolts: bolts.map { |line| { axle: line.axle, label: line.label, reached: Torques.reached(line.entries) } }
          }
        end

        private

        def correction(correction)
          {
            date: correction.recorded_at[0, 10],
            reason: correction.reason,
            voids: correction.change["void"],
            change: correction.change.map { |field, value| changed(field, value) }.join(", ")
          }
        end

        def changed(field, value)
          return Texts.say(value ? "log.struck_out" : "log.restored") if field == "void"

          return "#{Formats.number(value.round)} km" if field == "odometer_km"

          Texts.say("log.now", field: field.tr("_", " "), value: value.nil? ? Texts.say("log.empty") : value)
        end

        def reading(row, axles)
          {
            id: row.id,
            axle: axles[row.axle_id],
            event: row.event,
            event_label: Texts.say("log.event_#{row.event}"),
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
            void: row.void,
            entered: row.entered,
            kept: !row.doubt.nil?,
            simulated: row.simulated,
            doubts:
              row.doubts.map do |doubt|
                { question: doubt.question, value: [doubt.value, doubt.unit].compact.join(" "), answer: answer(doubt) }
              end,
            corrections: row.corrections.map { |correction| correction(correction) }
          }
        end

        def label(row, axles)
          [
            axles[row.axle_id],
            row.side,
            row.pad,
            part(row),
            row.place > 1 ? Texts.say("log.place", count: row.place) : nil
          ].compact.join(" ")
        end

        # "slide pins: seized" of a mark that a job answered
        def part(row)
          return row.part == "shoe" ? Texts.say("log.part_shoe") : row.part unless row.event == "answered"

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

        def answer(doubt)
          text = @knowledge.questions.dig("answers", doubt.answer) || doubt.answer
          Service::Base::Wording.tokens(text, { unit: Texts.say("log.another_unit"), part: Texts.say("log.part") })
        end

        # unit: of the odometer that day
        def mark(condition, axles, unit)
          place = [axles[condition.axle_id], condition.side, condition.face].compact.join(" ")
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
