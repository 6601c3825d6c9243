# frozen_string_literal: true

require "json"
require_relative "records"
require_relative "../core/errors"

module Graver
  module Storage
    # Half-entered look-overs, one per axle, so that a closed tab or a stopped server loses nothing.
    class Drafts
      def initialize(database)
        @database = database
      end

      def find(axle_id)
        row = @database[:drafts].first(axle_id:)
        row && Draft.new(content: JSON.parse(row[:content]), revision: row[:revision], recorded_at: row[:recorded_at])
      end

      # revision: the one this change was made from (0 for a new draft). Raises Conflict when somebody was faster.
      def save(axle_id, content, revision:, at:)
        row = { content: JSON.generate(content), revision: revision + 1, recorded_at: at }
        changed = revision.zero? ? insert(axle_id, row) : @database[:drafts].where(axle_id:, revision:).update(row)
        raise Conflict.new("this look-over was changed in another window", current: find(axle_id)) unless changed == 1

        find(axle_id)
      end

      def remove(axle_id) = @database[:drafts].where(axle_id:).delete

      private

      def insert(axle_id, row)
        @database[:drafts].insert_conflict.insert(axle_id:, **row)
        @database[:drafts].where(axle_id:, revision: 1, content: row[:content]).count
      end
    end
  end
end
