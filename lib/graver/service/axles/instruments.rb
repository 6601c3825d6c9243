# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Axles
      # The household's measuring tools: what they are, whether their zero is good, and what a bad zero has done.
      class Instruments
        LENGTHS = %i[least most resolution uncertainty].freeze
        # check: Core::Measurement::ZeroCheck; good: does it pass?
        Judged = Core::Value.define(:row, :check, :good)
        # One reading as it stands and as it would be: texts in its own unit.
        Change = Core::Value.define(:look_over, :row, :from, :to)

        def initialize(context)
          @context = context
          @store = context.store
          @knowledge = context.knowledge
        end

        # -> [Storage::Instrument]
        def all = @store.instruments.all
        # -> Storage::Instrument. Raises NotFound.
        def find(id) = @store.instruments.find(id)
        # Of the vehicle a change concerns.
        def vehicle_name(change) = @store.vehicles.find(change.look_over.vehicle_id).name

        # { id => Core::Measurement::Instrument }
        def core = @core ||= @store.instruments.all.to_h { |instrument| [instrument.id, build(instrument)] }

        # given: { name:, method:, unit:, least:, most:, resolution:, uncertainty: }; texts or nil. Raises InvalidEntry.
        def add(given)
          fields = checked({ unit: "mm", **LENGTHS.to_h { |key| [key, nil] }, **given })
          @store.transaction { @store.instruments.add(fields, at: @context.now) }
        end

        # Any of the same, and retired: true or false. Raises InvalidEntry, NotFound.
        def change(id, given)
          known = @store.instruments.find(id)
          fields = checked(known.to_h.slice(:name, :method, :unit, *LENGTHS).merge(given.except(:retired)))
          fields[:retired_at] = given[:retired] ? @context.now : nil if given.key?(:retired)
          @store.transaction { @store.instruments.change(id, fields) }
        end

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
          mine = build(instrument)
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

        # What the newest check, if it failed, says of the readings made since the last good one -> [Change]
        def changes(instrument)
          checks = judged(instrument)
          failed = checks.last
          return [] unless failed && !failed.good

          since = checks.reverse.find(&:good)&.check&.date
          @store
            .look_overs
            .read_with(instrument.id, since:)
            .select { |look_over, row| look_over.date <= failed.check.date && correctable?(row, failed) }
            .map do |look_over, row|
              Change.new(look_over:, row:, from: row.value, to: corrected(row, failed.check.offset_mm))
            end
        end

        # Takes the failed check's offset off those readings; returns how many were corrected.
        def apply(id)
          instrument = @store.instruments.find(id)
          changes = changes(instrument)
          check = judged(instrument).last
          @store.transaction do
            changes.each do |change|
              @store.corrections.add(
                look_over_id: change.look_over.id,
                reading_id: change.row.id,
                change: {
                  "value" => change.to
                },
                reason: reason(instrument, check),
                at: @context.now
              )
            end
          end
          changes.length
        end

        private

        def rules = @rules ||= @knowledge.measurement.fetch("zero_check").transform_keys(&:to_sym)
        def mm(text, unit)
          text && Core::Quantity::LENGTH.to_base(Core::Quantity::EnteredNumber.parse(text).value, unit)
        end
        def refuse(field, code, message) = raise(InvalidEntry.of(field, code, message))

        def build(instrument)
          lengths = LENGTHS.to_h { |key| [key, mm(instrument[key], instrument.unit)] }
          Core::Measurement::Instrument.new(
            method: instrument.method,
            least_mm: lengths[:least],
            most_mm: lengths[:most],
            resolution_mm: lengths[:resolution],
            standard_uncertainty_mm: lengths[:uncertainty]
          )
        end

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
          row.value && row.method != "gauge" &&
            row.corrections.none? do |correction|
              correction.reason.start_with?(Texts.say("findings.zero_check_start", check: failed.row.id))
            end
        end

        def reason(instrument, judged)
          Texts.say("findings.zero_check_start", check: judged.row.id) +
            Texts.say(
              "findings.zero_check",
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
          date > @context.today ? refuse("date", "in_future", Texts.say("faults.day_in_future")) : date
        rescue Date::Error
          refuse("date", "not_a_day", Texts.say("faults.not_a_day", example: @context.today.iso8601))
        end

        def length_text(given, field, unit)
          unless Core::Quantity::LENGTH.include?(unit)
            refuse("unit", "unknown_unit", Texts.say("faults.choose", choices: Core::Quantity::LENGTH.units))
          end
          length = mm(given[field].to_s, unit)
          unless length.between?(-5, 1000)
            refuse(field.to_s, "out_of_range", Texts.say("faults.between_unit", least: -5, most: 1000, unit: "mm"))
          end
          given[field].strip
        rescue InvalidEntry => e
          raise e.faults.first.field.empty? ? e.under(field.to_s) : e
        end

        def checked(fields)
          faults = plain_faults(fields)
          raise InvalidEntry, faults if faults.any?

          lengths = LENGTHS.to_h { |key| [key, checked_length(fields, key, faults)] }
          range = %i[least most].map { |key| mm(lengths[key], fields[:unit]) }
          if faults.empty? && range.all? && range[1] <= range[0]
            faults << fault("most", "order", Texts.say("faults.more_than_least"))
          end
          raise InvalidEntry, faults if faults.any?

          fields.slice(:method, :unit).merge(name: fields[:name].strip, **lengths)
        end

        def plain_faults(fields)
          methods = @knowledge.measurement.fetch("methods").select { |_, method| method.key?("instrument") }.keys
          faults = []
          faults << fault("name", "missing", Texts.say("faults.name")) if fields[:name].to_s.strip.empty?
          unless methods.include?(fields[:method])
            faults << fault("method", "unknown_choice", Texts.say("faults.choose", choices: methods))
          end
          unless Core::Quantity::LENGTH.include?(fields[:unit])
            faults << fault("unit", "unknown_unit", Texts.say("faults.choose", choices: Core::Quantity::LENGTH.units))
          end
          faults
        end

        def checked_length(fields, key, faults)
          text = fields[key].to_s.strip
          return if text.empty?

          length = mm(text, fields[:unit])
          least = %i[resolution uncertainty].include?(key) ? 1e-6 : 0
          unless length.between?(least, key == :most ? 2000 : 500)
            faults << fault(key.to_s, "out_of_range", Texts.say("faults.cannot_be", value: length))
          end
          text
        rescue InvalidEntry => e
          faults.concat(e.under(key.to_s).faults)
          nil
        end

        def fault(field, code, message) = InvalidEntry::Fault.new(field:, code:, message:)
      end
    end
  end
end
