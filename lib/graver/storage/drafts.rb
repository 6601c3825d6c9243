# frozen_string_literal: true

require "json"
require_relative "records"
require_relative "../core/errors"

module Graver
  module Storage
    # Half-entered look-overs, one per vehicle, so that a closed tab or a stopped server loses nothing.
    class Drafts
      def initialize(database)
        @table = database[:look_over_drafts]
      end

      def find(vehicle_id)
        row = @table.first(vehicle_id:)
        row && Draft.new(content: JSON.parse(row[:content]), revision: row[:revision], recorded_at: row[:recorded_at])
      end

      # revision: the one this change was made from (0 for a new draft). Raises Conflict when somebody was faster.
      def save(vehicle_id, content, revision:, at:)
        row = { content: JSON.generate(content), revision: revision + 1, recorded_at: at }
        changed = revision.zero? ? insert(vehicle_id, row) : @table.where(vehicle_id:, revision:).update(row)
        raise Conflict.new("this look-over was changed in another window", current: find(vehicle_id)) unless changed == 1

        find(vehicle_id)
      end

      def remove(vehicle_id) = @table.where(vehicle_id:).delete

      private

      def insert(vehicle_id, row)
        @table.insert_conflict.insert(vehicle_id:, **row)
        @table.where(vehicle_id:, revision: 1, content: row[:content]).count
      end
    end
  end
end
