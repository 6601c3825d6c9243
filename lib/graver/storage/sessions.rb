# frozen_string_literal: true

module Graver
  module Storage
    # Devices that signed in over the network, and codes to pair one with.
    class Sessions
      def initialize(database)
        @sessions = database[:sessions]
        @pairings = database[:pairings]
      end

      # digest: of the token the device keeps -> id
      def add(digest, device:, at:, until_at:, person: nil, guest: false)
        @sessions.insert(digest:, device:, person:, guest:, begun_at: at, seen_at: at, expires_at: until_at)
      end

      # The session that stands, or nil.
      def standing(digest, at:) = record(open_at(at).first(digest:))

      # The id of a device that signed in once, whether its session still stands or not, or nil.
      def device(digest) = @sessions.where(digest:).get(:id)

      # Those that stand, the newest first.
      def all(at:) = open_at(at).reverse(:id).map { |row| record(row) }

      # Who uses a device, and whether as a guest. Raises NotFound.
      def change(id, **fields)
        @sessions.where(id:, ended_at: nil).update(**fields) == 1 or raise NotFound, Message.of("missing.session")
      end

      # When a device last asked.
      def seen(id, at:) = @sessions.where(id:).update(seen_at: at)

      # Raises NotFound.
      def close(id, at:)
        @sessions.where(id:, ended_at: nil).update(ended_at: at) == 1 or raise NotFound, Message.of("missing.session")
      end

      # Signs every device out.
      def close_all(at:) = @sessions.where(ended_at: nil).update(ended_at: at)

      # A code stands until it is used or its time is up.
      def add_pairing(digest, until_at:, guest: false) = @pairings.insert(digest:, guest:, expires_at: until_at)

      # Voids every code that was not used.
      def void_pairings(at:) = @pairings.where(used_at: nil).update(used_at: at)

      # Uses up a code -> { guest: }, or nil if there is no such code.
      def use_pairing(digest, at:)
        open = @pairings.where(digest:, used_at: nil).where { expires_at > at }
        found = open.first
        found&.slice(:guest) if open.update(used_at: at) == 1
      end

      private

      def open_at(at) = @sessions.where(ended_at: nil).where { expires_at > at }
      def record(row) = row && Session.new(**row.slice(*Session.members))
    end
  end
end
