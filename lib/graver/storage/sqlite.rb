# frozen_string_literal: true

require "sequel"

module Graver
  module Storage
    # How Graver uses SQLite: its settings, its schema's migrations, and connections.
    module Sqlite
      MIGRATIONS = File.join(__dir__, "migrations")
      NEWEST = Dir.children(MIGRATIONS).map(&:to_i).max
      BUSY_TIMEOUT_MS = 5000
      # FULL: an acknowledged write survives a power cut, not only a crash (sqlite.org, pragma synchronous).
      PRAGMAS = ["PRAGMA journal_mode = WAL", "PRAGMA foreign_keys = ON", "PRAGMA synchronous = FULL"].freeze
      # Files for their owner alone.
      PRIVATE_FOLDER = 0o700
      PRIVATE_FILE = 0o600

      module_function

      # Connects to another file, without checking its contents.
      def connect(path)
        Sequel.connect(
          adapter: "sqlite",
          database: path,
          timeout: BUSY_TIMEOUT_MS,
          max_connections: 4,
          after_connect: method(:prepare)
        )
      end

      # Brings a database up to the newest version.
      def migrate(database)
        Sequel.extension :migration
        Sequel::Migrator.run(database, MIGRATIONS, use_transactions: true)
      end

      # SQLite's own wait would hold Ruby's lock, and so keep the very thread from finishing that it waits for; this one
      # lets the others run between its tries.
      def prepare(connection)
        connection.busy_handler_timeout = BUSY_TIMEOUT_MS
        PRAGMAS.each { |pragma| connection.execute(pragma) }
      end
    end
  end
end
