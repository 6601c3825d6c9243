# frozen_string_literal: true

require "sqlite3"

module Graver
  module Storage
    # For a Sequel::Database: passes on that a statement, be it a read, met a damaged page; and closes for good.
    module GuardedDatabase
      KINDS = [SQLite3::CorruptException, SQLite3::NotADatabaseException].freeze

      # watch: FileWatch, which is told; path: names the file in the NotSaved that is raised
      def tell(watch, path)
        @watch = watch
        @path = path
      end

      # Its connections, for good: a thread that is late opens no new one.
      def close_for_good
        @closed = true
        disconnect
      end

      # See Sequel::Database#connect.
      def connect(server)
        raise Sequel::DatabaseConnectionError, "closed" if @closed

        super
      end

      # See Sequel::Database#new_connection. A damaged file may show as soon as that; Sequel makes the error its own.
      def new_connection(server)
        super
      rescue *KINDS
        @watch&.damaged!
        raise
      end

      private

      def raise_error(exception, options = {})
        super unless @watch && KINDS.any? { |kind| exception.is_a?(kind) }

        @watch.damaged!
        raise NotSaved, Message.of("file.corrupt", path: @path)
      end
    end
  end
end
