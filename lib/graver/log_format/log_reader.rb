# frozen_string_literal: true

require "csv"

module Graver
  module LogFormat
    # Reads a log in the open CSV format (docs/formats.md). What cannot be read is named and left out.
    class LogReader
      # by_axle: { "front" => [Core::Wear::Entry], ... }; faults: [RowError] in line order.
      Result = Struct.new(:by_axle, :faults, keyword_init: true)
      RowError = Struct.new(:line, :column, :message) { def to_s = "#{line}: #{column}: #{message}" }

      REQUIRED = %w[date odometer axle part event].freeze

      # normalise: Core::Measurement::Normalise; specification: Specification the rows are checked against.
      def initialize(normalise, specification)
        @rows = RowReader.new(normalise, specification)
      end

      def call(text)
        @faults = []
        rows =
          rows_of(text.dup.force_encoding(Encoding::UTF_8).delete_prefix("\uFEFF".b.force_encoding(Encoding::UTF_8)))
        entries = rows.filter_map { |line, row| entry(line, row) }
        Result.new(by_axle: in_order(entries), faults: @faults.sort_by(&:line))
      end

      private

      # [[line, { column => text }], ...]
      def rows_of(text)
        lines = records(text)
        header = lines.shift&.last&.map { |name| name.to_s.strip } || []
        missing = REQUIRED - header
        if missing.any?
          fault(1, missing.first, Message.of("tables.header_lacks", count: missing.length, columns: missing))
          return []
        end
        (header - Columns::ALL).each { |name| fault(1, name, Message.of("tables.unknown_column")) }
        lines.map do |line, cells|
          [line, header.zip(cells).to_h.slice(*Columns::OPEN).transform_values { |cell| cell.to_s.strip }]
        end
      end

      # Whole text first; when its quoting is broken, line by line, so that one bad row costs one row.
      def records(text)
        Table.numbered(text, ",")
      rescue CSV::MalformedCSVError, ArgumentError, EncodingError
        text.each_line.with_index(1).filter_map { |raw, line| record(raw, line) }
      end

      def record(raw, line)
        raise CSV::MalformedCSVError.new(Message.of("tables.not_utf8"), line) unless raw.valid_encoding?

        cells = CSV.parse_line(raw)
        [line, cells] if cells&.any?
      rescue CSV::MalformedCSVError => e
        fault(line, "row", Message.of("tables.not_split", because: e.message.sub(/ in line \d+\.?\z/, "")))
        nil
      end

      def entry(line, row)
        @rows.call(line, row)
      rescue InvalidEntry => e
        e.faults.each { |found| fault(line, found.field.empty? ? "row" : found.field, found.message) }
        nil
      end

      def in_order(entries)
        kept, strays = OdometerOrder.split(entries.map(&:last))
        strays.each { |stray| fault(stray.ref, "odometer", Message.of("faults.runs_back_rows")) }
        entries
          .select { |_, entry| kept.include?(entry) }
          .group_by(&:first)
          .transform_values { |pairs| pairs.map(&:last).sort_by { |entry| [entry.date, entry.odometer_km] } }
      end

      def fault(line, column, message) = @faults << RowError.new(line, column, message)
    end
  end
end
