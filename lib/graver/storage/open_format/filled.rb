# frozen_string_literal: true

require "json"

module Graver
  module Storage
    module OpenFormat
      # Writes a checked document into the tables of an empty household, row by row as they were.
      class Filled
        # database: Sequel::Database of the newest version, with nothing in it
        def initialize(database)
          @database = database
        end

        def call(document)
          @database.transaction do
            # rows refer to each other in both directions: a job's reading to the job, its event to the reading
            @database.run("PRAGMA defer_foreign_keys = ON")
            document
              .fetch("preferences")
              .each do |key, value|
                unless RestoredFile::ACCESS.include?(key)
                  @database[:preferences].insert(key:, value: JSON.generate(value))
                end
              end
            Rows.each(document) { |node, row, parent| insert(node, row, parent) }
          end
        end

        private

        def insert(node, row, parent)
          owner = node.parent ? { node.parent => id(parent) } : {}
          @ids ||= {}.compare_by_identity
          @ids[row] = node.id? ? row["id"] : owner.values.first
          @database[node.table].insert({ **Rows.columns(node, row), **owner })
        end

        def id(parent) = @ids.fetch(parent)
      end
    end
  end
end
