# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # One reading of one position as entered: figures and unit separated, each place normalised.
      class EnteredReading
        # A separate method: a share of new is only ever judged by eye.
        SHARE_UNITS = { "percent" => "percent", "share" => "percent" }.freeze

        attr_reader :given, :file

        # given: { axle:, part:, side:, pad:, event:, method:, values:, upper:, unit:, overall:, instrument: }; file:
        # AxleRecord;
        # instruments: { id => Core::Measurement::Instrument }
        def initialize(knowledge, file, given, instruments)
          @knowledge = knowledge
          @file = file
          @given = given
          @instruments = instruments
        end

        # As given: id of the part.
        def part = given[:part]
        # As given: "reading", "fit", ...
        def event = given[:event]
        # -> [side, pad], without what was not given
        def position = [given[:side], given[:pad]].compact
        # -> [text] of the figures, without their unit. Raises InvalidEntry.
        def values = given[:values].to_a.map { |value| split(value).first }
        # -> text of the gauge's next leaf, or nil
        def upper
          given[:upper].to_s.strip.empty? ? nil : Core::Quantity::EnteredLength.split(given[:upper], unit).first
        end
        # -> unit as typed with the figure, else as given
        def unit = given[:values].to_a.empty? ? given[:unit] : split(given[:values].first).last
        # -> id of the method; of a share always by eye
        def method = SHARE_UNITS.fetch(unit, given[:method])
        # Whether the backing plate is in it.
        def overall = given[:overall] || false

        # Raises InvalidEntry naming the field.
        def check
          check_part
          check_position
          instrument
          check_units
          refuse_figure if @knowledge.tab?(event) && values.any?
          return unless event == "reading" && values.empty?

          raise InvalidEntry.of("values", "missing", Message.of("faults.missing_reading"))
        end

        # [Thickness], one per place; of an event the thickness it stands for; empty where it says none.
        def thicknesses
          return [@knowledge.normalise.event(event)] if @knowledge.tab?(event)

          values.each_with_index.map { |value, place| normalise(value, place) }
        end

        # The same figures in inches or in another unit used on this vehicle, in mm. Not for shares.
        def alternatives
          return {} if method == "percent" || values.empty?

          number =
            Core::Quantity::EnteredNumber.parse(
              values.min_by { |value| Core::Quantity::EnteredNumber.parse(value).value }
            ).value
          ((["mm", "in", *@file.units_used].uniq & Core::Quantity::LENGTH.units) - [unit]).to_h do |other|
            [other, Core::Quantity::LENGTH.to_base(number, other)]
          end
        end

        private

        def check_part
          choices = @knowledge.measured_parts
          return if choices.include?(part)

          raise InvalidEntry.of("part", "unknown_choice", Message.of("faults.choose", choices:))
        end

        def check_units
          units = given[:values].to_a.map { |value| split(value).last }.uniq
          raise InvalidEntry.of("values", "units_differ", Message.of("faults.units_differ", units:)) if units.length > 1
        end

        def refuse_figure
          raise InvalidEntry.of("values", "figure_beside_event", Message.of("faults.figure_beside_event"))
        end

        def split(text) = Core::Quantity::EnteredLength.split(text, given[:unit])

        def check_position
          allowed = @file.brake_kind.reads?(part) ? places : []
          return if allowed.include?(position.join("_")) || (%w[fit freed].include?(event) && given[:side].nil?)

          raise InvalidEntry.of("side", "unknown_position", Message.of("faults.unknown_side", part:))
        end

        def places = part == "pad" ? @file.positions : @file.axle.sides

        def normalise(value, place)
          @knowledge.normalise.call(core_reading(value), @file.part(part))
        rescue InvalidEntry => e
          raise(
            InvalidEntry,
            e.faults.map do |found|
              found.dup.tap { |copy| copy.field = "values.#{place}" if ["value", ""].include?(copy.field) }
            end
          )
        end

        def core_reading(value)
          Core::Measurement::Reading.new(
            part:,
            method:,
            value: Core::Quantity::EnteredNumber.parse(value),
            upper: upper_number,
            unit:,
            overall:,
            instrument:
          )
        end

        def upper_number
          upper && Core::Quantity::EnteredNumber.parse(upper)
        rescue InvalidEntry => e
          raise e.under("upper")
        end

        def instrument
          return unless given[:instrument]

          @instruments.fetch(given[:instrument]) do
            raise InvalidEntry.of("instrument", "unknown_instrument", Message.of("faults.unknown_instrument"))
          end
        end
      end
    end
  end
end
