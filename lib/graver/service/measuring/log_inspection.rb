# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Saves an inspection of a vehicle, as entered, and clears its draft.
      class LogInspection
        # As far as two figures may lie apart that are the same odometer.
        SAME_KM = 0.5

        def initialize(context)
          @context = context
          @store = context.store
        end

        # given: the API's Inspection. Returns the inspection's id. Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          entry = checked(vehicle_id, given)
          saved = @store.transaction { save(vehicle_id, given, still(entry, vehicle_id, given)) }
          @context.later { |context| Forecast::RecordForecasts.new(context).keep_of(vehicle_id) }
          saved
        end

        # The same beside a draft that is left alone.
        def beside(vehicle_id, given)
          entry = checked(vehicle_id, given)
          saved = @store.transaction { add(vehicle_id, given, entry) }
          @context.later { |context| Forecast::RecordForecasts.new(context).keep_of(vehicle_id) }
          saved
        end

        # Logs readings in the middle of a job: into its inspection of that day, which the first reading creates. A
        # place read again counts as last read. job_id; note: for a new one -> the inspection's id. Raises InvalidEntry,
        # NotFound.
        def on_the_way(vehicle_id, given, job_id:, note:)
          before = checked(vehicle_id, given)
          @store.transaction do
            entry = still(before, vehicle_id, given)
            begun = begun(vehicle_id, job_id, entry.stamp.date, entry.stamp.odometer[:km])
            go_on = -> { go_on(begun, entry, given.fetch(:unmarked, [])) }
            (begun ? go_on.call : add(vehicle_id, { note: }, entry, job_id:)).tap { void_wrong(entry) }
          end
        end

        # The inspection a job has begun that day, at that odometer if one is given, or nil
        def begun(vehicle_id, job_id, day, km = nil)
          @store
            .inspections
            .of_vehicle(vehicle_id)
            .reverse
            .find do |each|
              each.job_id == job_id && each.date == day && (km.nil? || (each.odometer_km - km).abs < SAME_KM)
            end
        end

        # Checks the input without saving -> InspectionEntry
        def entry(vehicle_id, given)
          InspectionEntry.new(@context, records(vehicle_id), given, Household::Instruments.new(@context).core)
        end

        private

        def records(vehicle_id) = Household::AxleRecords.new(@context).of_vehicle(vehicle_id)

        # Checked before the lock is taken, as forecasts take time; again inside it only if the records have changed.
        def still(entry, vehicle_id, given)
          entry.files.equal?(records(vehicle_id)) ? entry : checked(vehicle_id, given)
        end

        def checked(vehicle_id, given)
          entry = entry(vehicle_id, given)
          entry.refusal ? raise(entry.refusal) : entry
        end

        def save(vehicle_id, given, entry)
          same_draft(vehicle_id, given[:draft_revision]) if given[:draft_revision]
          id = add(vehicle_id, given, entry)
          void_wrong(entry)
          @store.drafts.remove(vehicle_id)
          id
        end

        def void_wrong(entry)
          wrong = entry.lines.select { |line| line.given[:answer] == "earlier_wrong" }
          wrong.each { |line| void_earlier(line, entry.stamp.date) }
        end

        def add(vehicle_id, given, entry, job_id: nil)
          @store.inspections.add(
            vehicle_id:,
            date: entry.stamp.date,
            odometer: entry.stamp.odometer,
            note: given[:note],
            at: @context.now,
            done_by: @context.person,
            readings: entry.lines.flat_map { |line| rows(line) },
            conditions: entry.conditions,
            job_id:
          )
        end

        def go_on(inspection, entry, unmarked)
          again = ReadAgain.new(@context)
          again.unmark(inspection, unmarked)
          conditions = again.call(inspection, entry)
          @store.inspections.append(inspection.id, readings: entry.lines.flat_map { |line| rows(line) }, conditions:)
        end

        # The draft that was entered here is the one on file: nothing of another window is overwritten unseen. Raises
        # Conflict.
        def same_draft(vehicle_id, revision)
          draft = @store.drafts.find(vehicle_id)
          return if (draft&.revision || 0) == revision

          raise Conflict.new(Message.of(draft ? "conflicts.draft_changed" : "conflicts.draft_saved"), current: draft)
        end

        def rows(line)
          given, entered = line.given, line.entered
          kept = line.question && given[:answer] == "keep" ? line.question.sentence : nil
          common = {
            axle_id: given[:axle],
            event: given[:event],
            part: given[:part],
            side: given[:side],
            pad: given[:pad],
            method: entered.method,
            unit: entered.unit,
            overall: entered.overall,
            instrument_id: given[:instrument],
            simulated: given[:simulated] || false,
            doubt: kept
          }
          return [common.merge(value: nil, flags: flags(line))] if entered.values.empty?

          entered.values.each_with_index.map do |value, at|
            common.merge(value: value.strip, upper: entered.upper, place: at + 1, flags: at.zero? ? flags(line) : [])
          end
        end

        # Questions answered on the way (measured again, another kind), and the last one.
        def flags(line)
          texts = @context.knowledge.questions.fetch("readings")
          earlier =
            line.given[:flags]
              .to_a
              .select { |flag| texts.key?(flag[:code]) }
              .map { |flag| { question: flag[:question], **flag.slice(:code, :value, :unit, :answer) } }
          return earlier unless line.question && line.given[:answer]

          [
            *earlier,
            {
              code: line.question.code,
              question: line.question.sentence,
              value: line.entered.values.first,
              unit: line.entered.unit,
              answer: line.given[:answer]
            }
          ]
        end

        # The owner holds the reading before this one for wrong: it stays on file and counts no more.
        def void_earlier(line, date)
          row, inspection = line.file.newest_row(line.entered.part, *line.given.values_at(:side, :pad), until_day: date)
          return unless row

          same =
            inspection.readings.select do |other|
              other.to_h.values_at(:axle_id, :event, :part, :side, :pad) ==
                row.to_h.values_at(:axle_id, :event, :part, :side, :pad)
            end
          same.each do |other|
            @store.corrections.add(
              inspection_id: inspection.id,
              reading_id: other.id,
              change: {
                "void" => true
              },
              at: @context.now,
              by: @context.person,
              reason:
                Message.of(
                  "findings.held_for_wrong",
                  value: line.entered.values.first,
                  unit: line.entered.unit,
                  day: date
                )
            )
          end
        end
      end
    end
  end
end
