# frozen_string_literal: true

require "csv"
require "json"

module Graver
  module Storage
    module OpenFormat
      # The document as tables, one CSV file each: a column for each value, after them the row it belongs to. An empty
      # cell is not known, "" is an empty text (RFC 4180 has no word for it).
      module Tables
        PREFERENCES = "preferences"

        module_function

        # -> { "vehicles.csv" => text, ... }
        def call(document)
          rows = Hash.new { |found, table| found[table] = [] }
          Rows.each(document) { |node, row, parent| rows[node.table] << [row, parent] }
          tables = Tree.tables.to_h { |table, node| ["#{table}.csv", table(node, rows[table])] }
          { "#{PREFERENCES}.csv" => preferences(document), **tables }
        end

        def table(node, rows)
          header = [*node.columns.keys, *node.parent&.to_s]
          CSV.generate(write_headers: true, headers: header, quote_empty: true) do |csv|
            rows.each { |row, parent| csv << [*Rows.columns(node, row).values, *parent&.fetch("id")] }
          end
        end

        def preferences(document)
          CSV.generate(write_headers: true, headers: %w[key value]) do |csv|
            document.fetch("preferences").each { |key, value| csv << [key, JSON.generate(value)] }
          end
        end
        private_class_method :table, :preferences
      end
    end
  end
end
