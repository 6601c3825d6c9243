# frozen_string_literal: true

require "yaml"

module Graver
  module Storage
    module OpenFormat
      # Where each row of the open format is kept, read from household.yml.
      class Tree
        FILE = File.join(__dir__, "household.yml")
        # table; parent: column that names the row it belongs to, or nil; columns: { name => type }, without the parent;
        # refers: { column => table }; json: columns that hold JSON; known_by: columns by which a merge knows a row;
        # newest_of: column of which only newer rows are merged; merge: whether any are; children: { list name => Node }
        Node =
          Core::Value.define(:table, :parent, :columns, :refers, :json, :known_by, :newest_of, :merge, :children) do
            def id? = columns.key?("id")

            # -> [Node], this one first
            def all = [self, *children.values.flat_map(&:all)]
          end

        # The schema itself.
        def self.schema = @schema ||= YAML.safe_load_file(FILE).freeze

        # { list name => Node } of what a household is made of
        def self.top = @top ||= nodes(schema.fetch("properties")).freeze

        # -> { table => Node }
        def self.tables = @tables ||= top.values.flat_map(&:all).to_h { |node| [node.table, node] }.freeze

        def self.nodes(properties)
          lists = properties.select { |_, property| property.dig("items", "$ref") }
          lists.transform_values do |property|
            node(schema.fetch("$defs").fetch(property["items"]["$ref"][%r{[^/]+\z}]))
          end
        end

        def self.node(entry)
          columns = entry.fetch("properties").reject { |_, property| property.key?("items") }
          Node.new(
            table: entry.fetch("x-table").to_sym,
            parent: entry["x-parent"]&.to_sym,
            columns: columns.transform_values { |property| [*property.fetch("type")].first },
            refers:
              columns.filter_map { |name, property| [name, property["x-refers"].to_sym] if property["x-refers"] }.to_h,
            json: columns.select { |_, property| property["x-text"] }.keys,
            known_by: entry["x-known-by"],
            newest_of: entry["x-newest-of"],
            merge: entry.fetch("x-merge", true),
            children: nodes(entry.fetch("properties"))
          )
        end
        private_class_method :nodes, :node
      end
    end
  end
end
