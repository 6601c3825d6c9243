# frozen_string_literal: true

require "json"
require "securerandom"

module Graver
  module Storage
    # Half-entered inspections, one per vehicle, so that a closed tab or a stopped server loses nothing.
    class Drafts
      # Each draft counts its revisions from its own start: a window that still holds an earlier draft of the
      # vehicle never matches a later one.
      FIRST_REVISIONS = 2**40

      def initialize(database)
        @table = database[:inspection_drafts]
        @binned = database[:binned_drafts]
      end

      # -> Draft of a vehicle, or nil
      def find(vehicle_id)
        row = @table.first(vehicle_id:)
        row && Draft.new(content: JSON.parse(row[:content]), revision: row[:revision], recorded_at: row[:recorded_at])
      end

      # revision: the one this change was made from (0 for a new draft). Raises Conflict when somebody was faster.
      def save(vehicle_id, content, revision:, at:)
        row = { content: JSON.generate(content), recorded_at: at }
        changed =
          (
            if revision.zero?
              insert(vehicle_id, row)
            else
              @table.where(vehicle_id:, revision:).update(**row, revision: revision + 1)
            end
          )
        raise Conflict.new(Message.of("conflicts.draft_changed"), current: find(vehicle_id)) unless changed == 1

        find(vehicle_id)
      end

      # For good: what it held is logged.
      def remove(vehicle_id) = @table.where(vehicle_id:).delete

      # Takes it away into the bin -> id there, or nil when there is none.
      def bin(vehicle_id, at:)
        row = @table.first(vehicle_id:) or return
        remove(vehicle_id)
        @binned.insert(**row.slice(:vehicle_id, :content, :recorded_at), binned_at: at)
      end

      # The newest first.
      def binned = @binned.where(restored_at: nil).reverse(:id).map { |row| binned_record(row) }

      # Raises NotFound.
      def find_binned(id)
        row = @binned.first(id:, restored_at: nil) or raise NotFound, Message.of("missing.binned")
        binned_record(row)
      end

      # Into its place, which is free.
      def restore(draft, at:)
        @binned.where(id: draft.id).update(restored_at: at)
        @table.insert(
          vehicle_id: draft.vehicle_id,
          content: JSON.generate(draft.content),
          revision: first_revision,
          recorded_at: at
        )
      end

      private

      def first_revision = 1 + SecureRandom.random_number(FIRST_REVISIONS)
      def binned_record(row)
        BinnedDraft.new(**row.slice(:id, :vehicle_id, :recorded_at), content: JSON.parse(row[:content]))
      end

      def insert(vehicle_id, row)
        revision = first_revision
        @table.insert_conflict.insert(vehicle_id:, **row, revision:)
        @table.where(vehicle_id:, revision:).count
      end
    end
  end
end
