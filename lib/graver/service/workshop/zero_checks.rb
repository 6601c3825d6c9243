# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Workshop
      # Whether a measuring tool's zero is good, and how a bad zero affected its readings.
      class ZeroChecks
        # check: Core::Measurement::ZeroCheck; good: does it pass?
        Judged = Core::Value.define(:row, :check, :good)
        # One reading as it stands and as it would be: texts in its own unit.
        Change = Core::Value.define(:inspection, :row, :from, :to)

        def initialize(context)
          @context = context
          @store = context.store
          @knowledge = context.knowledge
          @instruments = Household::Instruments.new(context)
        end

        # Of the vehicle a change concerns.
        def vehicle_name(change) = @store.vehicles.find(change.inspection.vehicle_id).name

        # given: { date:, reference:, read:, unit: }. Raises InvalidEntry, NotFound.
        def check(id, given)
          instrument = @store.instruments.find(id)
          unit = given[:unit] || instrument.unit
          row = {
            date: day(given[:date]),
            reference: length_text(given, :reference, unit),
            read: length_text(given, :read, unit),
            unit:
          }
          @store.transaction { @store.instruments.add_check(id, **row, at: @context.now) }
          @store.instruments.find(id)
        end

        # Storage::Instrument -> [Judged], oldest first
        def judged(instrument)
          mine = @instruments.built(instrument)
          instrument.checks.map do |row|
            check = core_check(row)
            Judged.new(
              row:,
              check:,
              good:
                check.good?(
                  instrument_uncertainty_mm: own_uncertainty_mm(mine),
                  resolution_mm: mine.resolution_mm,
                  **rules.slice(:coverage, :least_mm)
                )
            )
          end
        end

        # The effect of the newest check, if it failed, on the readings since the last good one -> [Change]
        def changes(instrument)
          checks = judged(instrument)
          failed = checks.last
          return [] unless failed && !failed.good

          since = checks.reverse.find(&:good)&.check&.date
          @store
            .inspections
            .read_with(instrument.id, since:)
            .select { |inspection, row| inspection.date <= failed.check.date && correctable?(row, failed) }
            .map do |inspection, row|
              Change.new(inspection:, row:, from: row.value, to: corrected(row, failed.check.offset_mm))
            end
        end

        # Takes the failed check's offset off those readings; returns how many were corrected.
        def apply(id)
          instrument = @store.instruments.find(id)
          changes = changes(instrument)
          refuse_impossible(changes)
          check = judged(instrument).last
          @store.transaction do
            changes.each do |change|
              @store.corrections.add(
                inspection_id: change.inspection.id,
                reading_id: change.row.id,
                change: {
                  "value" => change.to
                },
                reason: reason(instrument, check),
                zero_check_id: check.row.id,
                at: @context.now,
                by: @context.person
              )
            end
          end
          changes.length
        end

        # Withdraws a check entered by mistake: its corrections of the log are undone. Raises NotFound.
        def withdraw(id, check_id)
          instrument = @store.instruments.find(id)
          check = instrument.checks.find { |row| row.id == check_id } or
            raise NotFound, Message.of("missing.zero_check")
          @store.transaction do
            @store.instruments.withdraw_check(check.id, at: @context.now)
            corrected_by(instrument, check).each { |inspection, row, before| put_back(inspection, row, before, check) }
          end
          @store.instruments.find(id)
        end

        private

        # -> [[Inspection, ReadingRow, the value before]] whose newest change of value was this check's
        def corrected_by(instrument, check)
          @store
            .inspections
            .read_with(instrument.id, since: nil)
            .filter_map do |inspection, row|
              changed = row.corrections.select { |correction| correction.change.key?("value") }
              next unless changed.last && by?(check, changed.last)

              [inspection, row, changed[0...-1].last&.change&.fetch("value") || row.entered]
            end
        end

        def by?(check, correction) = correction.zero_check_id == check.id

        def put_back(inspection, row, value, check)
          @store.corrections.add(
            inspection_id: inspection.id,
            reading_id: row.id,
            change: {
              "value" => value
            },
            reason: Message.of("findings.zero_check_withdrawn", day: check.date),
            at: @context.now,
            by: @context.person
          )
        end

        # Nothing is less than nothing: then the check itself is wrong.
        def refuse_impossible(changes)
          records = Household::AxleRecords.new(@context).all.values.flatten.to_h { |record| [record.axle.id, record] }
          impossible =
            changes.select do |change|
              row = change.row.with(value: change.to)
              records[row.axle_id] && records.fetch(row.axle_id).fault(row)
            end
          return if impossible.empty?

          readings = impossible.map { |change| [change.inspection, change.row] }
          refuse(
            "check",
            "breaks_readings",
            Household::ReadingsOnFile.new(@store).refusal(readings, "faults.zero_impossible")
          )
        end

        def rules = @rules ||= @knowledge.measurement.fetch("zero_check").transform_keys(&:to_sym)
        def mm(text, unit) = Core::Quantity::LENGTH.to_base(Core::Quantity::EnteredNumber.parse(text).value, unit)
        def refuse(field, code, message) = raise(InvalidEntry.of(field, code, message))

        def own_uncertainty_mm(instrument)
          instrument.standard_uncertainty_mm || @knowledge.measurement.dig("methods", instrument.method, "instrument")
        end

        def core_check(row)
          block = row.reference.to_f.zero? ? 0.0 : rules.fetch(:block_standard_uncertainty_mm)
          Core::Measurement::ZeroCheck.new(
            date: row.date,
            reference_mm: mm(row.reference, row.unit),
            read_mm: mm(row.read, row.unit),
            reference_uncertainty_mm: block
          )
        end

        # One check corrects a reading once.
        def correctable?(row, failed)
          row.value && row.method != "gauge" && Core::Quantity::LENGTH.include?(row.unit) &&
            row.corrections.none? { |correction| by?(failed.row, correction) }
        end

        def reason(instrument, judged)
          Message.of(
            "findings.zero_check",
            check: judged.row.id,
            tool: instrument.name,
            offset: judged.check.offset_mm,
            day: judged.check.date
          )
        end

        # In the reading's own unit, with no fewer digits than it had.
        def corrected(row, offset_mm)
          entered = Core::Quantity::EnteredNumber.parse(row.value)
          value = entered.value.to_f - Core::Quantity::LENGTH.from_base(offset_mm, row.unit)
          digits = { "mm" => 2, "in" => 4, "thou" => 1, "32nd" => 2, "100th" => 2 }.fetch(row.unit)
          format("%.#{[digits, row.value[/[.,](\d+)/, 1].to_s.length].max}f", value)
        end

        def day(text)
          date = Date.iso8601(text.to_s)
          date > @context.today ? refuse("date", "in_future", Message.of("faults.day_in_future")) : date
        rescue Date::Error
          refuse("date", "not_a_day", Message.of("faults.not_a_day", example: @context.today.iso8601))
        end

        def length_text(given, field, unit)
          unless Core::Quantity::LENGTH.include?(unit)
            refuse("unit", "unknown_unit", Message.of("faults.choose", choices: Core::Quantity::LENGTH.units))
          end
          length = mm(given[field].to_s, unit)
          unless length.between?(-5, 1000)
            refuse(field.to_s, "out_of_range", Message.of("faults.between_unit", least: -5, most: 1000, unit: "mm"))
          end
          given[field].strip
        rescue InvalidEntry => e
          raise e.faults.first.field.empty? ? e.under(field.to_s) : e
        end
      end
    end
  end
end
