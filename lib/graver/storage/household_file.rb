# frozen_string_literal: true

require "sqlite3"

module Graver
  module Storage
    # Tells a household's file from anything else, by looking alone: nothing is written. It looks through SQLite, as
    # closing a handle of our own would drop SQLite's locks (see FileWatch).
    module HouseholdFile
      # What every SQLite file begins with (sqlite.org, file format 1.3.1).
      MAGIC = "SQLite format 3\0"
      # Tables that every version has.
      TABLES = %w[schema_info vehicles axles readings].freeze

      # What says nothing about the file: somebody else was at it, or this process came to an end of its means.
      PASSING = [
        SQLite3::BusyException,
        SQLite3::LockedException,
        SQLite3::ProtocolException,
        SQLite3::InterruptException,
        SQLite3::MemoryException
      ].freeze
      private_constant :PASSING

      module_function

      # -> the version of its schema. Raises FileRefused if it is empty, no file of ours, damaged, or of a newer Graver,
      # FileBusy while another program holds it.
      def check(path)
        refuse("file.not_a_file", path) unless File.file?(path)
        refuse("file.unreadable", path) unless File.readable?(path)
        refuse("file.empty", path) if File.empty?(path)
        version = examine(path)
        refuse("file.damaged", path) unless version.is_a?(Integer)
        refuse("file.newer", path) if version > Sqlite::NEWEST
        version
      rescue *PASSING
        raise FileBusy, Message.of("file.busy_now", path:)
      rescue SQLite3::NotADatabaseException
        refuse("file.foreign", path)
      rescue SQLite3::Exception
        refuse("file.damaged", path)
      end

      def examine(path)
        database = SQLite3::Database.new(path, readonly: true)
        database.busy_timeout = Sqlite::BUSY_TIMEOUT_MS
        names = database.execute("SELECT name FROM sqlite_master WHERE type = 'table'").flatten
        refuse("file.foreign", path) if (TABLES - names).any?
        refuse("file.damaged", path) if database.execute("PRAGMA integrity_check(1)").flatten != ["ok"]
        database.get_first_value("SELECT version FROM schema_info")
      ensure
        database&.close
      end

      def refuse(text, path) = raise(FileRefused, Message.of(text, path:))
      private_class_method :examine, :refuse
    end
  end
end
