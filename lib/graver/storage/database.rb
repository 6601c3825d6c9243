# frozen_string_literal: true

require "fileutils"
require "sequel"

module Graver
  module Storage
    # Opens the SQLite file, brings its schema up to date and sets the pragmas on every connection.
    module Database
      MIGRATIONS = File.join(__dir__, "migrations")
      BUSY_TIMEOUT_MS = 5000
      PRAGMAS = ["PRAGMA journal_mode = WAL", "PRAGMA foreign_keys = ON", "PRAGMA synchronous = NORMAL"].freeze

      module_function

      # path: a file, made with its folders when missing. Returns a Sequel::Database.
      def open(path)
        FileUtils.mkdir_p(File.dirname(path))
        database =
          Sequel.connect(
            adapter: "sqlite",
            database: path,
            timeout: BUSY_TIMEOUT_MS,
            max_connections: 4,
            after_connect: method(:prepare)
          )
        Sequel.extension :migration
        Sequel::Migrator.run(database, MIGRATIONS)
        database
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
