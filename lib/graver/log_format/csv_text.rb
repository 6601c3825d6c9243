# frozen_string_literal: true

require "csv"

module Graver
  module LogFormat
    # Every table that leaves Graver. A text a spreadsheet would run as a formula gets an apostrophe in front, which
    # spreadsheets hide and `plain` takes off again when the table comes back.
    module CsvText
      FORMULA = /\A[=+\-@\t\r]/
      DEFUSED = /\A'(?=[=+\-@\t\r])/

      module_function

      # [column names], [[cell]] -> CSV text
      def call(columns, rows)
        CSV.generate do |csv|
          csv << columns
          rows.each { |row| csv << row.map { |cell| safe(cell) } }
        end
      end

      def safe(cell) = cell.is_a?(String) && cell.match?(FORMULA) ? "'#{cell}" : cell
      def plain(text) = text.sub(DEFUSED, "")
    end
  end
end
