# frozen_string_literal: true

module Graver
  module LogFormat
    # Writes a log in the open format (docs/formats.md), one row per position read.
    class LogWriter
      # One position of one inspection. values: texts as entered, the most worn counts; the rest as the open columns
      # have it.
      Row =
        Core::Value.define(
          :date,
          :odometer,
          :odometer_unit,
          :axle,
          :side,
          :part,
          :pad,
          :event,
          :method,
          :values,
          :upper,
          :unit,
          :overall,
          :note,
          :doubt
        )

      # [Row] -> CSV text
      def call(rows)
        CsvText.call(Columns::ALL, rows.map { |row| cells(row).values_at(*Columns::ALL) })
      end

      # Row -> { column => text or nil }
      def cells(row)
        open_event, open_method, open_value, open_unit = Columns::EVENTS[row.event]
        most_worn = most_worn(row)
        unit, value = open_figures(row, most_worn)
        {
          "date" => row.date.iso8601,
          "odometer" => plain(row.odometer),
          "odometer_unit" => row.odometer_unit,
          "axle" => row.axle,
          "side" => row.side,
          "part" => row.part,
          "pad" => row.pad,
          "event" => open_event || row.event,
          "method" => open_method || Columns::METHODS.fetch(row.method, row.method),
          "value" => open_value || value,
          "upper" => row.upper && plain(row.upper),
          "unit" => open_unit || unit,
          "overall" => row.overall ? "true" : nil,
          "note" => row.note,
          "places" => row.values.length > 1 ? row.values.join(Columns::PLACE_SEPARATOR) : nil,
          "entered" => entered(row, most_worn, value),
          "doubt" => row.doubt
        }
      end

      private

      # Of its places the thinnest; of a drum the widest.
      def most_worn(row)
        thinnest, widest = row.values.minmax_by { |text| number(text) }
        row.part == "drum" ? widest : thinnest
      end

      def number(text) = Core::Quantity::EnteredNumber.parse(text).value

      # A decimal that any reader takes, exact where there is one.
      def plain(text)
        value = number(text)
        return value.to_i.to_s if value.denominator == 1
        return text.tr(",", ".") if text.match?(/\A\d+[.,]\d+\z/)

        format("%.9f", value).sub(/0+\z/, "")
      end

      # A share of new is written in percent, hundredths of an inch in thousandths.
      def open_figures(row, text)
        return row.unit, nil unless text

        case row.unit
        when "share"
          ["percent", plain_number(number(text) * 100)]
        when "100th"
          ["thou", plain_number(number(text) * 10)]
        else
          [row.unit, plain(text)]
        end
      end

      def plain_number(value) = value.denominator == 1 ? value.to_i.to_s : format("%.6f", value).sub(/0+\z/, "")

      def entered(row, most_worn, value)
        return row.event if Columns::EVENTS.key?(row.event)
        return unless most_worn

        same =
          most_worn == value && !Columns::METHODS.key?(row.method) && !%w[share 100th].include?(row.unit) &&
            (row.upper.nil? || plain(row.upper) == row.upper)
        same ? nil : [most_worn, row.unit, row.method, row.upper].compact.join("|")
      end
    end
  end
end
