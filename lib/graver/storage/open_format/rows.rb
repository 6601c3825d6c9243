# frozen_string_literal: true

require "json"

module Graver
  module Storage
    module OpenFormat
      # What a row of the document is in its table.
      module Rows
        module_function

        # -> { column => value }, with all columns of the node
        def columns(node, row)
          node.columns.keys.to_h { |name| [name.to_sym, text(row[name])] }
        end

        def text(value) = value.is_a?(Hash) || value.is_a?(Array) ? JSON.generate(value) : value

        # How many of each table a document has -> { table => number }
        def count(document)
          Tree.tables.transform_values { 0 }.tap { |counts| each(document) { |node, _, _| counts[node.table] += 1 } }
        end

        # Calls the block with each row, what it belongs to first: node, row, its parent's row or nil.
        def each(lists, nodes = Tree.top, parent = nil, &block)
          nodes.each do |name, node|
            lists
              .fetch(name)
              .each do |row|
                yield(node, row, parent)
                each(row, node.children, row, &block)
              end
          end
        end
      end
    end
  end
end
