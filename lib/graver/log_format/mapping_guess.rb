# frozen_string_literal: true

require "date"

module Graver
  module LogFormat
    # A first guess at the meaning of a person's columns, from their names and contents. The owner checks it.
    class MappingGuess
      WORDS = {
        "axle" => {
          "front" => /\b(front|f[lr]?)\b/,
          "rear" => /\b(rear|back|r[lr])\b/,
          "middle" => /\b(middle|mid)\b/,
          "single" => /\bsingle\b/
        },
        "side" => {
          "left" => /\b(left|l|lh|fl|rl|nearside)\b/,
          "right" => /\b(right|r|rh|fr|rr|offside)\b/
        },
        "pad" => {
          "inner" => /\b(inner|inside|inboard|in)\b/,
          "outer" => /\b(outer|outside|outboard|out)\b/,
          "leading" => /\b(leading|primary)\b/,
          "trailing" => /\b(trailing|secondary)\b/
        }
      }.freeze
      UNITS = {
        "in" => /\b(inch|inches)\b|\(in\)|"/,
        "32nd" => /32nds?/,
        "thou" => /\b(thou|mils?)\b/,
        "percent" => /%|percent/
      }.freeze

      def initialize(header, rows)
        @header = header.map(&:downcase)
        @rows = rows.first(50).map(&:last)
      end

      def call
        return open_log if (%w[date odometer axle part event value] - @header).empty?

        {
          "date" => {
            "column" => named(/date|day|when/) || 0,
            "format" => date_format(named(/date|day|when/) || 0)
          },
          "odometer" => {
            "column" => named(/odo|mileage|\bkm\b|miles|reading at/),
            "unit" => unit_of_odometer
          },
          "note" => note,
          "readings" => readings
        }
      end

      private

      def named(pattern) = @header.index { |name| name.match?(pattern) }
      def unit_of_odometer = @header.any? { |name| name.match?(/miles|\bmi\b/) } ? "mi" : "km"
      def note = (column = named(/note|remark|comment/)) && { "column" => column }

      # The date format that fits most rows: a mistyped one changes nothing. Where several take as many, the one in
      # which days run back least often from row to row; then the day-first one.
      def date_format(column)
        samples =
          @rows.filter_map { |cells| cells[column].to_s.strip.sub(/[T ]\d{1,2}:\d{2}.*\z/, "") }.reject(&:empty?)
        days =
          ColumnMapping::DATE_FORMATS.transform_values { |pattern| samples.filter_map { |text| day(text, pattern) } }
        most = days.values.map(&:length).max
        return "iso" if most.zero?

        days.select { |_, read| read.length == most }.min_by { |_, read| turns(read) }.first
      end

      # [year, month, day], or nil where it is none
      def day(text, pattern)
        match = pattern.match(text) or return
        read = %i[y m d].map { |part| match[part].to_i }
        read if Date.valid_date?(*read)
      end

      # How often days turn against the way they run: a table may have the newest first.
      def turns(days)
        [days, days.reverse].map { |list| list.each_cons(2).count { |one, other| (one <=> other).positive? } }.min
      end

      def open_log
        columns = @header.each_with_index.to_h
        fields =
          ColumnMapping::FIELDS.filter_map { |field| [field, { "column" => columns[field] }] if columns[field] }.to_h
        {
          "date" => {
            "column" => columns["date"],
            "format" => date_format(columns["date"])
          },
          "odometer" => {
            "column" => columns["odometer"],
            "plain" => true
          },
          "odometer_unit" => columns["odometer_unit"] && { "column" => columns["odometer_unit"] },
          "note" => columns["note"] && { "column" => columns["note"] },
          "readings" => [{ "column" => columns["value"], **fields }]
        }
      end

      # A column per position: its name says which.
      def readings = @header.each_with_index.filter_map { |name, column| reading(name.tr("_-", "  "), column) }

      def reading(words, column)
        part = part_of(words)
        # a unit in brackets is no side: "(in)"
        axle, side, pad = %w[axle side pad].map { |field| first(WORDS.fetch(field), words.sub(/\([^)]*\)/, "")) }
        return unless axle && side && (pad || part != "pad")

        said = {
          "axle" => axle,
          "side" => side,
          "part" => part,
          "pad" => part == "pad" ? pad : nil,
          "method" => part == "rotor" ? "micrometer" : "caliper",
          "unit" => first(UNITS, words) || "mm"
        }
        { "column" => column, **said.compact.transform_values { |value| { "is" => value } } }
      end

      # The shoes of a drum brake are read as pads.
      def part_of(words)
        return "rotor" if words.match?(/rotor|disc|disk/)

        words.include?("drum") && !words.match?(/shoe|lining/) ? "drum" : "pad"
      end

      def first(patterns, words) = patterns.find { |_, pattern| words.match?(pattern) }&.first
    end
  end
end
