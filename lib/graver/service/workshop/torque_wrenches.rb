# frozen_string_literal: true

require "date"

module Graver
  module Service
    module Workshop
      # The household's torque wrenches, and which of them tightens what.
      class TorqueWrenches
        include Base::FieldErrors

        NUMBERS = %i[least most graduation].freeze
        # N·m that no hand torque wrench goes under or over
        RANGE = (0.05..3000)
        LENGTH_MM = (50..3000)
        EXTENSION_MM = (0..500)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # given: { name:, unit:, least:, most:, graduation:, length_mm:, calibrated_on: }, texts or nil. Raises
        # InvalidEntry.
        def add(given)
          fields = checked({ length_mm: nil, calibrated_on: nil, **given })
          @store.transaction { @store.torque_wrenches.add(fields, at: @context.now) }
        end

        # Any of the same, and retired: true or false. Raises InvalidEntry, NotFound.
        def change(id, given)
          known = @store.torque_wrenches.find(id)
          fields =
            checked(
              known
                .to_h
                .slice(:name, :unit, :length_mm, *NUMBERS)
                .merge(calibrated_on: known.calibrated_on&.iso8601)
                .merge(given.except(:retired))
            )
          fields[:retired_at] = given[:retired] ? @context.now : nil if given.key?(:retired)
          @store.transaction { @store.torque_wrenches.change(id, fields) }
        end

        # -> Storage::TorqueWrench. Raises NotFound.
        def find(id) = @store.torque_wrenches.find(id)
        # -> [Storage::TorqueWrench]
        def all = @store.torque_wrenches.all

        # Which wrench tightens what of an axle, with a crow-foot or an offset extension of so many mm in line with the
        # handle (as typed) -> [[fastener id, Setting, Borrow or nil]]. Raises InvalidEntry, NotFound.
        def settings(axle_id, extension)
          extension_mm = extension_mm(extension)
          data = Household::AxleRecords.new(@context).find(axle_id).planning_data
          @context.knowledge.fasteners.filter_map do |fastener|
            known = data["#{fastener.id}.torque"] or next
            [fastener.id, choose(known[:torque], extension_mm:)]
          end
        end

        # Wrenches in use, as core values.
        def core
          @store
            .torque_wrenches
            .all
            .reject(&:retired)
            .map do |row|
              numbers = NUMBERS.to_h { |key| [key, number(row[key])] }
              Core::Planning::Wrench.new(
                id: row.id,
                name: row.name,
                unit: row.unit,
                **numbers,
                length_mm: row.length_mm && number(row.length_mm),
                calibrated_on: row.calibrated_on
              )
            end
        end

        # Core::Planning::Torque -> Setting or Borrow; nil without a torque
        def choose(torque, extension_mm: 0.0)
          torque &&
            Core::Planning::WrenchChoice.new(@context.knowledge.wrench_rules).call(
              torque.newton_metres,
              core,
              @context.today,
              extension_mm:
            )
        end

        private

        def extension_mm(text)
          mm = number(text.to_s)
          if EXTENSION_MM.cover?(mm)
            mm
          else
            raise(
              InvalidEntry.of(
                "",
                "out_of_range",
                Message.of("faults.extension_between", least: EXTENSION_MM.min, most: EXTENSION_MM.max)
              )
            )
          end
        rescue InvalidEntry => e
          raise e.under("extension_mm")
        end

        def number(text) = Core::Quantity::EnteredNumber.parse(text).value.to_f

        def checked(fields)
          @faults = []
          fault("name", "missing", Message.of("faults.name")) if fields[:name].to_s.strip.empty?
          unless Core::Quantity::TORQUE.include?(fields[:unit])
            fault("unit", "unknown_unit", Message.of("faults.choose", choices: Core::Quantity::TORQUE.units))
          end
          numbers = NUMBERS.to_h { |key| [key, read(key, fields[key])] }
          check_order(numbers, fields[:unit]) if @faults.empty?
          texts = { name: fields[:name].to_s.strip, **NUMBERS.to_h { |key| [key, fields[key].to_s.strip] } }
          row =
            texts.merge(
              unit: fields[:unit],
              length_mm: length(fields[:length_mm]),
              calibrated_on: day(fields[:calibrated_on])
            )
          raise_faults

          row
        end

        def read(key, text) = under(key.to_s) { number(text.to_s) }

        def check_order(numbers, unit)
          least, most, graduation = numbers.values_at(*NUMBERS)
          newton_metres = Core::Quantity::TORQUE.to_base(most, unit)
          unless RANGE.cover?(newton_metres)
            fault(
              "most",
              "out_of_range",
              Message.of("faults.between_got", least: RANGE.min, most: RANGE.max, unit: "N·m", value: newton_metres)
            )
          end
          fault("least", "order", Message.of("faults.less_than_most")) unless least >= 0 && least < most
          return if graduation.positive? && graduation <= most / 5.0
          fault("graduation", "out_of_range", Message.of("faults.graduation"))
        end

        def length(text)
          return if text.to_s.strip.empty?

          unless LENGTH_MM.cover?(read(:length_mm, text) || LENGTH_MM.min)
            fault(
              "length_mm",
              "out_of_range",
              Message.of("faults.between_unit", least: LENGTH_MM.min, most: LENGTH_MM.max, unit: "mm")
            )
          end
          text.strip
        end

        def day(text)
          return if text.to_s.strip.empty?

          date = Date.iso8601(text)
          fault("calibrated_on", "in_future", Message.of("faults.day_in_future")) if date > @context.today
          date.iso8601
        rescue Date::Error
          fault("calibrated_on", "not_a_day", Message.of("faults.not_a_day", example: @context.today.iso8601))
        end
      end
    end
  end
end
