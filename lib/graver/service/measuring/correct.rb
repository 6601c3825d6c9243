# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Edits or voids a logged entry, with a reason. Nothing is overwritten: the correction stands beside the original,
      # and everything derived follows.
      class Correct
        def initialize(context)
          @context = context
          @store = context.store
        end

        # given: { void:, value:, upper:, unit:, method:, overall:, reason: }. Raises InvalidEntry, NotFound.
        def reading(inspection_id, reading_id, given)
          inspection = @store.inspections.find(inspection_id)
          row = inspection.readings.find { |each| each.id == reading_id } or
            raise NotFound, Message.of("missing.reading")
          change(inspection_id, row, given, reading_id:) { reading_change(inspection, row, given) }
        end

        # given: { void:, mark:, value:, reason: } for a mark or figure. Raises InvalidEntry, NotFound.
        def condition(inspection_id, condition_id, given)
          inspection = @store.inspections.find(inspection_id)
          row = inspection.conditions.find { |each| each.id == condition_id } or
            raise NotFound, Message.of("missing.mark")
          change(inspection_id, row, given, condition_id:) { condition_change(inspection, row, given) }
        end

        # given: { void:, date:, odometer: { value:, unit: }, note:, reason: }. Raises InvalidEntry, NotFound.
        def inspection(id, given)
          inspection = @store.inspections.find(id)
          change(id, inspection, given, field: "reason", because: Message.of("faults.nothing_changed")) do
            stamp_change(inspection, given)
          end
        end

        private

        def stamp = { at: @context.now, by: @context.person }

        def require_reason(given)
          raise InvalidEntry.of("reason", "missing", Message.of("faults.reason")) if given[:reason].to_s.strip.empty?
        end

        # Voids, restores, or applies the block's changes.
        def change(inspection_id, row, given, field: "value", because: Message.of("faults.unchanged"), **what)
          require_reason(given)
          @store.transaction do
            change = given.key?(:void) ? { "void" => given[:void] } : yield
            raise InvalidEntry.of(field, "unchanged", because) if change.empty? || change == { "void" => row.void }

            @store.corrections.add(inspection_id:, change:, reason: given[:reason].strip, **stamp, **what)
          end
        end

        def reading_change(inspection, row, given)
          now =
            row
              .to_h
              .slice(:value, :upper, :unit, :method, :overall)
              .merge(given.slice(:value, :upper, :unit, :method, :overall))
          place = row.to_h.slice(:event, :part, :side, :pad).merge(axle: row.axle_id, instrument: row.instrument_id)
          entered =
            EnteredReading.new(
              @context.knowledge,
              file(inspection, row),
              place.merge(now, values: [now[:value]].compact),
              Household::Instruments.new(@context).core
            )
          entered.check
          entered.thicknesses
          {
            value: entered.values.first,
            upper: entered.upper,
            unit: entered.unit,
            method: entered.method,
            overall: entered.overall
          }.reject { |field, value| row[field] == value }.transform_keys(&:to_s)
        rescue InvalidEntry => e
          raise(
            InvalidEntry,
            e.faults.map { |fault| fault.dup.tap { |copy| copy.field = "value" if copy.field.start_with?("values") } }
          )
        end

        # Checked as if it were entered now.
        def condition_change(inspection, row, given)
          files =
            Household::AxleRecords
              .new(@context)
              .of([@store.vehicles.find(inspection.vehicle_id)])
              .fetch(inspection.vehicle_id)
              .to_h { |file| [file.axle.id, file] }
          wanted = {
            axle: row.axle_id,
            **row.to_h.slice(:side, :face, :item),
            mark: given[:mark] || row.mark,
            value: given[:value] || row.value
          }
          checked = ConditionEntry.new(@context.knowledge, files).check(wanted)
          checked.slice(:mark, :value).reject { |field, value| row[field] == value }.transform_keys(&:to_s)
        end

        def file(inspection, row)
          raise InvalidEntry.of("value", "no_value", Message.of("faults.no_value")) unless row.axle_id && row.value

          Household::AxleRecords
            .new(@context)
            .of([@store.vehicles.find(inspection.vehicle_id)])
            .fetch(inspection.vehicle_id)
            .find { |each| each.axle.id == row.axle_id }
        end

        def stamp_change(inspection, given)
          vehicle = @store.vehicles.find(inspection.vehicle_id)
          others = @store.inspections.of_vehicle(vehicle.id).reject { |other| other.id == inspection.id }
          odometer = { value: inspection.odometer_value, unit: inspection.odometer_unit, **given.fetch(:odometer, {}) }
          stamp =
            ServiceDate.new(@context, vehicle, others, { date: given.fetch(:date, inspection.date.iso8601), odometer: })
          faults = stamp.faults + stamp.order_faults
          raise InvalidEntry, faults if faults.any?

          {
            date: stamp.date.iso8601,
            odometer_value: stamp.odometer[:value],
            odometer_unit: stamp.odometer[:unit],
            odometer_km: stamp.odometer_km,
            note: given.fetch(:note, inspection.note)
          }.reject { |field, value| before(inspection, field) == value }.transform_keys(&:to_s)
        end

        def before(inspection, field) = field == :date ? inspection.date.iso8601 : inspection[field]
      end
    end
  end
end
