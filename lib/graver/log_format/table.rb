# frozen_string_literal: true

require "csv"

module Graver
  module LogFormat
    # A person's own spreadsheet, saved as text: separators, encodings and quoting as they come.
    class Table
      SEPARATORS = [",", ";", "\t"].freeze
      MOST_COLUMNS = 200
      # rows: [[line, [cell, ...]], ...] without the header; broken: [[line, what is wrong], ...]
      attr_reader :header, :rows, :broken, :separator

      # bytes: the file. Raises InvalidEntry when there is no table in it.
      def self.read(bytes)
        text = decoded(bytes)
        raise InvalidEntry.of("file", "empty", Texts.say("tables.empty_file")) if text.strip.empty?

        new(text)
      end

      # [[line a row begins on, cells], ...] without empty rows; a quoted field may go over several lines.
      # Raises CSV::MalformedCSVError.
      def self.numbered(text, separator)
        parser = CSV.new(text, col_sep: separator)
        line = 1
        rows = []
        while (cells = parser.shift)
          rows << [line, cells] unless cells.empty?
          line += [parser.line.count("\n"), 1].max
        end
        rows
      end

      # UTF-8 with or without mark; what is not valid in it is taken for the old Western code page.
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
        lines = split(text)
        @header = (lines.shift&.last || []).map { |cell| cell.to_s.strip }
        @rows = lines
        if header.length > MOST_COLUMNS
          raise InvalidEntry.of("file", "too_wide", Texts.say("tables.too_wide", most: MOST_COLUMNS))
        end
        raise InvalidEntry.of("file", "no_columns", Texts.say("tables.no_table")) if header.length < 2
      end

      private

      # Whole text first; when its quoting is broken, line by line, so that one bad row costs one row.
      def split(text)
        return plain(text) unless text.include?('"')

        self.class.numbered(text, separator)
      rescue CSV::MalformedCSVError
        text.each_line.with_index(1).filter_map { |raw, line| one(raw, line) }
      end

      # Without quotes there is nothing to it but the separator.
      def plain(text)
        rows = []
        text
          .each_line
          .with_index(1) do |raw, line|
            raw = raw.chomp
            rows << [line, raw.split(separator, -1)] unless raw.empty?
          end
        rows
      end

      def one(raw, line)
        cells = CSV.parse_line(raw, col_sep: separator)
        [line, cells] if cells&.any?
      rescue CSV::MalformedCSVError
        @broken << [line, "cannot be split into columns: its quotes do not match"]
        nil
      end
    end
  end
end
