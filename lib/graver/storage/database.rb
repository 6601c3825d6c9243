# frozen_string_literal: true

require "fileutils"
require "sequel"

module Graver
  module Storage
    # Opens the household's SQLite file. A new one is built beside its place and moved there whole; an older one is
    # backed up first and then upgraded, one transaction per migration; a file that is no household is rejected and left
    # alone.
    module Database
      MIGRATIONS = File.join(__dir__, "migrations")
      NEWEST = Dir.children(MIGRATIONS).map(&:to_i).max
      BUSY_TIMEOUT_MS = 5000
      # FULL: an acknowledged write survives a power cut, not only a crash (sqlite.org, pragma synchronous).
      PRAGMAS = ["PRAGMA journal_mode = WAL", "PRAGMA foreign_keys = ON", "PRAGMA synchronous = FULL"].freeze
      # Files for their owner alone.
      PRIVATE_FOLDER = 0o700
      PRIVATE_FILE = 0o600

      module_function

      # path: a file, made with its folders when missing. Returns a Sequel::Database. Raises FileRefused.
      def open(path)
        File.exist?(path) ? bring_up_to_date(path) : make(path)
        database = connect(path)
        [path, "#{path}-wal", "#{path}-shm"].each { |file| File.chmod(PRIVATE_FILE, file) if File.exist?(file) }
        database
      end

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

      # A start that is broken off leaves nothing at the household's place.
      def make(path)
        FileUtils.mkdir_p(File.dirname(path), mode: PRIVATE_FOLDER)
        beside = "#{path}.new"
        FileUtils.rm_f(Dir.glob("#{beside}*"))
        migrated(beside)
        File.rename(beside, path)
      end
      private_class_method :make

      def bring_up_to_date(path)
        version = HouseholdFile.check(path)
        return if version == NEWEST

        Backups.new(path).make("before-upgrade")
        migrated(path)
      end
      private_class_method :bring_up_to_date

      # One file when it is closed: nothing waits beside it.
      def migrated(path)
        database = connect(path)
        migrate(database)
        database.run("PRAGMA wal_checkpoint(TRUNCATE)")
        database.disconnect
        File.chmod(PRIVATE_FILE, path)
      end
      private_class_method :migrated
    end
  end
end
