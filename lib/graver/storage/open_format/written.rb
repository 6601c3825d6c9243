# frozen_string_literal: true

require "json"

module Graver
  module Storage
    module OpenFormat
      # A household as one document of the open format (household.yml).
      class Written
        NAME = "graver-household/1"

        # database: Sequel::Database
        def initialize(database)
          @database = database
        end

        # at: text, when it is written -> Hash. What belongs to this machine alone is left out.
        def call(at)
          @database.transaction do
            lists = Tree.top.transform_values { |node| rows(node, @database[node.table].order(*order(node)).all) }
            { "format" => NAME, "written_at" => at, "preferences" => preferences, **lists }
          end
        end

        private

        def preferences
          kept = @database[:preferences].exclude(key: RestoredFile::ACCESS).order(:key)
          kept.select_hash(:key, :value).transform_values { |text| JSON.parse(text) }
        end

        def rows(node, found) = found.map { |row| row(node, row) }

        def row(node, row)
          values = node.columns.keys.to_h { |name| [name, value(node, name, row[name.to_sym])] }.compact
          lists = node.children.transform_values { |child| rows(child, of(child).fetch(key(node, row), [])) }
          { **values, **lists }
        end

        def key(node, row) = row[node.id? ? :id : node.parent]

        # Rows of a table by what they belong to; each table is read once.
        def of(node)
          @of ||= {}
          @of[node.table] ||= @database[node.table].order(*order(node)).all.group_by { |row| row[node.parent] }
        end

        def order(node) = node.id? ? [:id] : [node.parent]

        # Objects and lists are part of the document where they can be written back to the letter.
        def value(node, name, value)
          return value unless node.json.include?(name) && value

          content = JSON.parse(value)
          (content.is_a?(Hash) || content.is_a?(Array)) && JSON.generate(content) == value ? content : value
        rescue JSON::ParserError
          value
        end
      end
    end
  end
end
