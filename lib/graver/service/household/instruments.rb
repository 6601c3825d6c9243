# frozen_string_literal: true

module Graver
  module Service
    module Household
      # The household's measuring tools: what they are, and what they can read. Their zero: ZeroChecks.
      class Instruments
        LENGTHS = %i[least most resolution uncertainty].freeze
        def initialize(context)
          @context = context
          @store = context.store
          @knowledge = context.knowledge
        end

        # -> [Storage::Instrument]
        def all = @store.instruments.all
        # -> Storage::Instrument. Raises NotFound.
        def find(id) = @store.instruments.find(id)
        # The same for readings on file: a reading stands, whatever range the tool has now.
        def as_read
          @as_read ||= core.transform_values { |instrument| instrument.with(least_mm: nil, most_mm: nil) }
        end

        # { id => Core::Measurement::Instrument }
        def core = @core ||= @store.instruments.all.to_h { |instrument| [instrument.id, built(instrument)] }

        # given: { name:, method:, unit:, least:, most:, resolution:, uncertainty: }; texts or nil. Raises InvalidEntry.
        def add(given)
          fields = checked({ unit: "mm", **LENGTHS.to_h { |key| [key, nil] }, **given })
          @store.transaction { @store.instruments.add(fields, at: @context.now) }
        end

        # Any of the same, and retired: true or false. Raises InvalidEntry, NotFound.
        def change(id, given)
          known = @store.instruments.find(id)
          fields = checked(known.to_h.slice(:name, :method, :unit, *LENGTHS).merge(given.except(:retired)))
          refuse_outside(known.with(**fields))
          fields[:retired_at] = given[:retired] ? @context.now : nil if given.key?(:retired)
          @store.transaction { @store.instruments.change(id, fields) }
        end

        # Storage::Instrument -> Core::Measurement::Instrument
        def built(instrument)
          lengths = LENGTHS.to_h { |key| [key, mm(instrument[key], instrument.unit)] }
          Core::Measurement::Instrument.new(
            method: instrument.method,
            least_mm: lengths[:least],
            most_mm: lengths[:most],
            resolution_mm: lengths[:resolution],
            standard_uncertainty_mm: lengths[:uncertainty]
          )
        end

        private

        def mm(text, unit)
          text && Core::Quantity::LENGTH.to_base(Core::Quantity::EnteredNumber.parse(text).value, unit)
        end

        # Rejects a new range that excludes readings on file: they are corrected first.
        def refuse_outside(instrument)
          now = built(instrument)
          outside =
            @store
              .inspections
              .read_with(instrument.id, since: nil)
              .select { |_, row| length?(row) && outside?(now, row) }
          return if outside.empty?

          field = outside.any? { |_, row| now.most_mm && mm(row.value, row.unit) > now.most_mm } ? "most" : "least"
          raise InvalidEntry.of(field, "breaks_readings", ReadingsOnFile.new(@store).refusal(outside))
        end

        # A share of new was judged, not read off the tool.
        def length?(row) = row.value && Core::Quantity::LENGTH.include?(row.unit)

        def outside?(instrument, row)
          instrument.check(mm(row.value, row.unit))
          false
        rescue InvalidEntry
          true
        end

        def checked(fields)
          faults = plain_faults(fields)
          raise InvalidEntry, faults if faults.any?

          lengths = LENGTHS.to_h { |key| [key, checked_length(fields, key, faults)] }
          range = %i[least most].map { |key| mm(lengths[key], fields[:unit]) }
          if faults.empty? && range.all? && range[1] <= range[0]
            faults << fault("most", "order", Message.of("faults.more_than_least"))
          end
          raise InvalidEntry, faults if faults.any?

          fields.slice(:method, :unit).merge(name: fields[:name].strip, **lengths)
        end

        def plain_faults(fields)
          methods = @knowledge.measurement.fetch("methods").select { |_, method| method.key?("instrument") }.keys
          faults = []
          faults << fault("name", "missing", Message.of("faults.name")) if fields[:name].to_s.strip.empty?
          unless methods.include?(fields[:method])
            faults << fault("method", "unknown_choice", Message.of("faults.choose", choices: methods))
          end
          unless Core::Quantity::LENGTH.include?(fields[:unit])
            faults << fault("unit", "unknown_unit", Message.of("faults.choose", choices: Core::Quantity::LENGTH.units))
          end
          faults
        end

        def checked_length(fields, key, faults)
          text = fields[key].to_s.strip
          return if text.empty?

          length = mm(text, fields[:unit])
          least = %i[resolution uncertainty].include?(key) ? 1e-6 : 0
          unless length.between?(least, key == :most ? 2000 : 500)
            faults << fault(key.to_s, "out_of_range", Message.of("faults.cannot_be", value: length))
          end
          text
        rescue InvalidEntry => e
          faults.concat(e.under(key.to_s).faults)
          nil
        end

        def fault(field, code, message) = InvalidEntry::FieldError.new(field:, code:, message:)
      end
    end
  end
end
