# frozen_string_literal: true

require "json"
require "sequel"

module Graver
  module Storage
    # Imported files with their results. An undone import stays on file but does not count.
    class Imports
      def initialize(database)
        @table = database[:imports]
      end

      # content: the table's text -> Import
      def add(vehicle_id:, name:, digest:, content:, at:)
        find(@table.insert(vehicle_id:, name:, digest:, content: Sequel.blob(content), recorded_at: at))
      end

      # Raises NotFound.
      def find(id)
        row = listed.first(id:) or raise NotFound, Message.of("missing.import")
        record(row)
      end

      # Newest first, without their texts.
      def of_vehicle(vehicle_id)
        listed.where(vehicle_id:).exclude(done_at: nil).reverse(:id).map { |row| record(row) }
      end

      # -> the table's text as uploaded
      def content(id) = @table.where(id:).get(:content)
      # mapping, result: Hashes
      def finish(id, mapping:, result:, at:)
        @table.where(id:).update(mapping: JSON.generate(mapping), result: JSON.generate(result), done_at: at)
      end
      # What it put in counts no more.
      def undo(id, at:) = @table.where(id:).update(undone_at: at)
      # Abandoned imports.
      def forget_unfinished(before:) = @table.where(done_at: nil).where { recorded_at < before }.delete

      private

      def listed
        @table.select(:id, :vehicle_id, :name, :digest, :mapping, :result, :recorded_at, :done_at, :undone_at)
      end

      def record(row)
        fields = row.slice(:id, :vehicle_id, :name, :digest, :recorded_at)
        texts = %i[mapping result].to_h { |key| [key, row[key] && JSON.parse(row[key])] }
        Import.new(**fields, **texts, state: state(row))
      end

      def state(row)
        return "undone" if row[:undone_at]

        row[:done_at] ? "done" : "uploaded"
      end
    end
  end
end
