# frozen_string_literal: true

require "csv"

module Graver
  module LogFormat
    # Every table that leaves Graver. What a spreadsheet would run as a formula gets an apostrophe in front, which
    # spreadsheets hide and `plain` takes off again when the table comes back. A spreadsheet that takes another
    # separator, or a line's end, begins a cell in the middle of ours. What already looks defused gets one more, so that
    # every text comes back as it was.
    module CsvText
      CELL = /\A|(?<=[;\t|\r\n])/
      FORMULA = /(?:#{CELL})(?='*[=+\-@\t\r])/
      DEFUSED = /(?:#{CELL})'(?='*[=+\-@\t\r])/

      module_function

      # [column names], [[cell]] -> CSV text
      def call(columns, rows)
        CSV.generate do |csv|
          csv << columns
          rows.each { |row| csv << row.map { |cell| safe(cell) } }
        end
      end

      def safe(cell) = cell.is_a?(String) ? cell.gsub(FORMULA, "'") : cell
      def plain(text) = text.gsub(DEFUSED, "")
    end
  end
end
