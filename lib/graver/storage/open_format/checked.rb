# frozen_string_literal: true

require "json"
require "json_schemer"

module Graver
  module Storage
    module OpenFormat
      # What keeps a document from being read as a household: its shape (household.yml), numbers given twice, and rows
      # that refer to something that isn't there.
      class Checked
        # place: in the document ("vehicles.0.name"); text: Message or text
        Fault = Core::Value.define(:place, :text)
        MOST = 20

        def initialize(document)
          @document = document
        end

        # -> [Fault], the first twenty
        def faults
          shape = schema.validate(@document).lazy.map { |fault| fault(fault) }.first(MOST)
          shape.empty? ? links.first(MOST) : shape
        end

        private

        def schema = JSONSchemer.schema(Tree.schema, format: true)

        def fault(found)
          Fault.new(place: found.fetch("data_pointer").delete_prefix("/").tr("/", "."), text: found.fetch("error"))
        end

        def links
          @ids = Hash.new { |ids, table| ids[table] = {} }
          rows = placed(@document, Tree.top, "", nil)
          # all of them are known before any is looked for
          rows.flat_map { |row| numbered(*row) } + rows.flat_map { |row| lost(*row) }
        end

        # Notes each row's number with the vehicle it is of.
        def numbered(place, node, row, vehicle)
          return [] unless node.id?

          known = @ids[node.table]
          if known.key?(row["id"])
            return [Fault.new(place: "#{place}.id", text: Message.of("exchange.twice", id: row["id"]))]
          end

          known[row["id"]] = vehicle
          []
        end

        # Nothing refers to a row of another vehicle.
        def lost(place, node, row, vehicle)
          node.refers.filter_map do |column, table|
            next unless row[column]

            of = @ids[table].fetch(row[column], :nowhere)
            next if of != :nowhere && (of.nil? || vehicle.nil? || of == vehicle)

            Fault.new(place: "#{place}.#{column}", text: Message.of("exchange.nowhere", id: row[column]))
          end
        end

        # -> [[place, Node, row, number of its vehicle or nil], ...]
        def placed(lists, nodes, path, vehicle)
          nodes.flat_map do |name, node|
            lists
              .fetch(name)
              .each_with_index
              .flat_map do |row, at|
                place = "#{path}#{name}.#{at}"
                mine = node.table == :vehicles ? row["id"] : vehicle
                [[place, node, row, mine], *placed(row, node.children, "#{place}.", mine)]
              end
          end
        end
      end
    end
  end
end
