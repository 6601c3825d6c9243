# frozen_string_literal: true

require "csv"

module Graver
  module LogFormat
    # A person's own spreadsheet, saved as text: separators, encodings and quoting as they come.
    class Table
      SEPARATORS = [",", ";", "\t"].freeze
      MOST_COLUMNS = 200
      # More than any household writes in a lifetime; and a line no person wrote.
      MOST_LINES = 400_000
      LONGEST_LINE = 20_000
      LONGEST_FIELD = 2000
      # rows: [[line, [cell, ...]], ...] without the header; broken: [[line, fault], ...]
      attr_reader :header, :rows, :broken, :separator

      # bytes: the file. Raises InvalidEntry when there is no table in it.
      def self.read(bytes)
        if bytes.count("\n\r") > 2 * MOST_LINES
          raise InvalidEntry.of("file", "too_many", Message.of("tables.too_many_lines", most: MOST_LINES))
        end

        text = decoded(bytes)
        raise InvalidEntry.of("file", "empty", Message.of("tables.empty_file")) if text.strip.empty?

        new(text)
      end

      # [[line a row begins on, cells], ...] without empty rows; a quoted field may go over several lines.
      # Raises CSV::MalformedCSVError.
      def self.numbered(text, separator)
        parser = CSV.new(text, col_sep: separator, field_size_limit: LONGEST_FIELD)
        line = 1
        rows = []
        while (cells = parser.shift)
          rows << [line, cells] unless cells.empty?
          line += [parser.line.count("\n"), 1].max
        end
        rows
      end

      # UTF-8 with or without a BOM; bytes that are not valid UTF-8 are read as Windows-1252.
      def self.decoded(bytes)
        text = bytes.dup.force_encoding(Encoding::UTF_8)
        unless text.valid_encoding?
          text =
            bytes.dup.force_encoding(Encoding::Windows_1252).encode(Encoding::UTF_8, invalid: :replace, undef: :replace)
        end
        text.delete_prefix("\uFEFF").delete("\u0000").gsub(/\r\n?/, "\n")
      end
      private_class_method :decoded

      def initialize(text)
        @broken = []
        @separator = SEPARATORS.max_by { |each| text.each_line.first.to_s.count(each) }
        refuse_wide(text.each_line.first)
        lines = split(text)
        @header = (lines.shift&.last || []).map { |cell| cell.to_s.strip }
        @rows = narrow(lines)
        raise InvalidEntry.of("file", "no_columns", Message.of("tables.no_table")) if header.length < 2
      end

      # Yields each row once, as [line, cells], with the share done; frees rows already given.
      def drain
        total = rows.length
        rows.each_with_index do |(line, cells), at|
          rows[at] = nil
          yield line, cells, at.fdiv(total)
        end
        rows.clear
      end

      private

      def refuse_wide(line)
        return if line.count(separator) < MOST_COLUMNS

        raise InvalidEntry.of("file", "too_wide", Message.of("tables.too_wide", most: MOST_COLUMNS))
      end

      # A row of more columns than any table has is named and left out.
      def narrow(lines)
        lines.select do |line, cells|
          next true if cells.length <= MOST_COLUMNS

          broken!(line, Message.of("tables.too_wide", most: MOST_COLUMNS)) || false
        end
      end

      # Whole text first, as a quoted field may go over several lines; when its quoting is broken, line by line, so that
      # one bad row costs one row.
      def split(text)
        return line_by_line(text) unless text.include?('"') && text.each_line.all? { |raw| raw.length <= LONGEST_LINE }

        self.class.numbered(text, separator)
      rescue CSV::MalformedCSVError
        line_by_line(text)
      end

      def line_by_line(text)
        text
          .each_line
          .with_index(1)
          .filter_map do |raw, line|
            raw = raw.chomp
            cells = raw.empty? || unlike_a_row?(raw, line) ? nil : cells_of(raw, line)
            cells && [line, cells]
          end
      end

      # Without quotes there is nothing to it but the separator. The same words come again and again: each is kept once.
      def cells_of(raw, line)
        return raw.split(separator, -1).map!(&:-@) unless raw.include?('"')

        cells = CSV.parse_line(raw, col_sep: separator)
        cells if cells&.any?
      rescue CSV::MalformedCSVError
        broken!(line, Message.of("tables.quotes"))
      end

      # Checked before splitting: a row that is too long or too wide is never split.
      def unlike_a_row?(raw, line)
        if raw.length > LONGEST_LINE
          broken!(line, Message.of("tables.too_long_line", most: LONGEST_LINE))
          true
        elsif !raw.include?('"') && raw.count(separator) >= MOST_COLUMNS
          broken!(line, Message.of("tables.too_wide", most: MOST_COLUMNS))
          true
        else
          false
        end
      end

      def broken!(line, because)
        @broken << [line, because]
        nil
      end
    end
  end
end
