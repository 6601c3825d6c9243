# frozen_string_literal: true

require "csv"
require "json"

module Graver
  module Storage
    module OpenFormat
      # Tables (Tables) read back as a document.
      class ReadTables
        # Where each row stands, { row => "vehicles.csv:2" }, by identity.
        attr_reader :places

        def initialize
          @places = {}.compare_by_identity
        end

        # files: { "vehicles.csv" => text }; meta: { "format", "written_at" } -> document. Raises FileRefused naming
        # file and line.
        def call(files, meta)
          found = Tree.tables.transform_values { |node| rows(node, files.fetch("#{node.table}.csv", "")) }
          lists = Tree.top.transform_values { |node| nested(node, found, nil) }
          stray(found)
          { **meta, "preferences" => said(files.fetch("#{Tables::PREFERENCES}.csv", "")), **lists }
        end

        private

        def said(text)
          CSV.parse(text, headers: true).to_h { |row| [row["key"], JSON.parse(row["value"].to_s)] }
        rescue CSV::MalformedCSVError, JSON::ParserError => e
          refuse("#{Tables::PREFERENCES}.csv", 1, e.message)
        end

        # -> { number of what they belong to => [row] }
        def rows(node, text)
          name = "#{node.table}.csv"
          known(node, name, CSV.parse_line(text) || [])
          lines = CSV.new(text, headers: true)
          lines
            .each
            .with_object(Hash.new { |by, id| by[id] = [] }) do |line, by|
              at = lines.lineno
              row = row(node, line, name, at)
              @places[row] = "#{name}:#{at}"
              by[node.parent && Integer(line[node.parent.to_s].to_s, exception: false)] << row
            end
        rescue CSV::MalformedCSVError => e
          refuse(name, e.line_number, e.message)
        end

        def known(node, name, headers)
          unknown = headers - node.columns.keys - [node.parent&.to_s]
          refuse(name, 1, Message.of("exchange.unknown_column", column: unknown.first.to_s)) if unknown.any?
        end

        def row(node, line, name, at)
          node
            .columns
            .to_h { |column, type| [column, value(line[column], type, [name, at, column])] }
            .compact
            .merge(node.children.transform_values { [] })
        end

        def value(text, type, where)
          return if text.nil?

          case type
          when "integer"
            Integer(text, 10, exception: false) || odd(text, where)
          when "number"
            Float(text, exception: false) || odd(text, where)
          when "boolean"
            { "true" => true, "false" => false }.fetch(text) { odd(text, where) }
          else
            text
          end
        end

        def odd(text, (name, at, column))
          refuse(name, at, Message.of("exchange.odd_value", column:, value: text))
        end

        # Takes out what belongs to a row, and what belongs to that.
        def nested(node, found, id)
          (found[node.table].delete(id) || []).each do |row|
            node.children.each { |name, child| row[name] = nested(child, found, row["id"] || id) }
          end
        end

        # Rows that belong to nothing that is there.
        def stray(found)
          row = found.values.flat_map(&:values).flatten(1).first or return
          name, at = @places.fetch(row).split(":")
          refuse(name, at, Message.of("exchange.belongs_nowhere"))
        end

        def refuse(name, at, text)
          raise(FileRefused, Message.of("exchange.at_line", place: "#{name}:#{at}", text: text.to_s))
        end
      end
    end
  end
end
