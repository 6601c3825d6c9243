# frozen_string_literal: true

require "date"

module Graver
  module LogFormat
    # Turns one row of a log, { column => text }, into an entry; every fault of the row is found in one go.
    class RowReader
      EVENTS = %w[fit reading squealer sensor resurfaced freed].freeze
      METHODS = %w[micrometer caliper rule gauge photo visual percent].freeze
      # A new part's thickness is as good as a caliper's reading unless the row says otherwise.
      FIT_METHOD = "caliper"
      YEARS = (1950..2200)
      LARGEST_KM = 5_000_000

      # A row without its date and odometer: the same few repeat in a long log.
      Content = Struct.new(:axle, :part, :side, :pad, :event, :reading, :faults)
      STAMP = %w[date odometer odometer_unit].freeze
      CONTENT = %w[axle part side pad event method value upper unit overall].freeze
      # Different contents remembered; a log of a household has far fewer.
      MOST_REMEMBERED = 20_000

      def initialize(normalise, specification)
        @normalise = normalise
        @specification = specification
        @stamps = {}
        @contents = {}
      end

      # -> [axle name, Core::Wear::Entry]. Raises InvalidEntry with a fault per column.
      def call(line, row)
        @row = row
        date, km, faults = remembered(@stamps, STAMP) { stamp }
        content = remembered(@contents, CONTENT) { content() }
        raise InvalidEntry, faults + content.faults if faults.any? || content.faults.any?

        [
          content.axle,
          Core::Wear::Entry.new(
            date:,
            odometer_km: km,
            part: content.part,
            side: content.side,
            pad: content.pad,
            event: content.event,
            reading: content.reading,
            trust: 1.0,
            ref: line
          )
        ]
      end

      private

      def remembered(known, columns)
        known.clear if known.length > MOST_REMEMBERED
        known[@row.values_at(*columns)] ||= yield
      end

      def stamp
        @faults = []
        [date, odometer_km, @faults]
      end

      def content
        @faults = []
        fields = { part:, side:, pad:, event: }
        axle = self.axle
        refuse_elsewhere(axle, *fields.values_at(:part, :pad)) if @faults.empty?
        reading = self.reading
        try(axle, reading) if @faults.empty?
        Content.new(axle, *fields.values_at(:part, :side, :pad, :event), reading, @faults)
      end

      # A drum on an axle with discs, or the other way round.
      def refuse_elsewhere(axle, part, pad)
        brakes = @specification.brakes(axle)
        return if Core::Measurement::Positions.log?(brakes, part, pad)

        refuse(pad ? "pad" : "part", Message.of("tables.other_brake", axle:, brakes:, text: pad || part))
      end

      def cell(column) = @row[column].to_s

      def refuse(column, message)
        @faults << InvalidEntry::FieldError.new(field: column, code: "unreadable", message:)
        nil
      end

      def one_of(column, allowed, default: nil, optional: false)
        text = cell(column).empty? ? default.to_s : cell(column)
        return text if allowed.include?(text)
        return if text.empty? && optional

        refuse(column, Message.of("tables.row_choose", choices: allowed, text: text[0, 24]))
      end

      def date
        date = Date.iso8601(cell("date"))
        return date if YEARS.cover?(date.year)

        refuse("date", Message.of("faults.year", year: date.year))
      rescue Date::Error
        refuse("date", Message.of("tables.row_day", text: cell("date")[0, 24]))
      end

      def odometer_km
        unit = one_of("odometer_unit", Core::Quantity::DISTANCE.units, default: "km") or return
        number = number("odometer") or return
        km = Core::Quantity::DISTANCE.to_base(number.value, unit)
        if km.between?(0, LARGEST_KM)
          km
        else
          refuse("odometer", Message.of("tables.row_odometer", most: LARGEST_KM, value: km.round))
        end
      end

      def number(column)
        Core::Quantity::EnteredNumber.parse(cell(column))
      rescue InvalidEntry => e
        refuse(column, e.message)
      end

      def axle = one_of("axle", @specification.axle_names)
      def part = @part = one_of("part", ["pad", *Core::Measurement::Positions::TURNING.values])
      def event = @event = one_of("event", EVENTS)
      def general? = %w[fit freed].include?(cell("event"))
      def side = one_of("side", %w[left right], optional: general?)

      def pad
        if cell("part") == "pad"
          return one_of("pad", Core::Measurement::Positions::PADS.values.flatten, optional: general?)
        end

        refuse("pad", Message.of("tables.no_pad", part: cell("part"))) unless cell("pad").empty?
      end

      def reading
        return unless @event == "reading" || (%w[fit resurfaced].include?(@event) && !cell("value").empty?)

        default = @event == "reading" ? nil : FIT_METHOD
        fields = {
          part: @part,
          method: one_of("method", METHODS, default:),
          value: number("value"),
          upper: upper,
          unit:
            one_of(
              "unit",
              Core::Quantity::LENGTH.units + ["percent"],
              default: cell("method") == "percent" ? "percent" : "mm"
            ),
          overall: overall
        }
        Core::Measurement::Reading.new(**fields) if @faults.empty?
      end

      def upper = cell("upper").empty? ? nil : number("upper")
      def overall = one_of("overall", %w[true false], default: "false") == "true"

      # The row must also make sense for this axle's parts.
      def try(axle, reading)
        @normalise.call(reading, @specification.part(axle, @part)) if reading
      rescue InvalidEntry => e
        @faults.concat(e.faults)
      end
    end
  end
end
