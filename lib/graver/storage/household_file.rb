# frozen_string_literal: true

require "sqlite3"

module Graver
  module Storage
    # Tells a household's file from anything else, by looking alone: nothing is written.
    module HouseholdFile
      # What every SQLite file begins with (sqlite.org, file format 1.3.1).
      MAGIC = "SQLite format 3\0"
      # Tables that every version has.
      TABLES = %w[schema_info vehicles axles readings].freeze

      module_function

      # -> the version of its schema. Raises FileRefused: empty, no file of ours, damaged, or of a newer Graver.
      def check(path)
        raise_unless_sqlite(path)
        version = examine(path)
        refuse("file.newer", path) if version > Sqlite::NEWEST
        version
      rescue SQLite3::Exception
        refuse("file.damaged", path)
      end

      def raise_unless_sqlite(path)
        refuse("file.not_a_file", path) unless File.file?(path)
        head = File.binread(path, MAGIC.bytesize).to_s
        refuse("file.empty", path) if head.empty?
        refuse("file.foreign", path) unless head == MAGIC
      rescue SystemCallError
        refuse("file.unreadable", path)
      end

      def examine(path)
        database = SQLite3::Database.new(path, readonly: true)
        names = database.execute("SELECT name FROM sqlite_master WHERE type = 'table'").flatten
        refuse("file.foreign", path) if (TABLES - names).any?
        refuse("file.damaged", path) if database.execute("PRAGMA integrity_check(1)").flatten != ["ok"]
        database.get_first_value("SELECT version FROM schema_info")
      ensure
        database&.close
      end

      def refuse(text, path) = raise(FileRefused, Message.of(text, path:))
      private_class_method :raise_unless_sqlite, :examine, :refuse
    end
  end
end
