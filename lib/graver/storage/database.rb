# frozen_string_literal: true

require "fileutils"

module Graver
  module Storage
    # Opens the household's SQLite file. A new one is built beside its place and moved there whole; an older one is
    # backed up first and then upgraded, one transaction per migration; a file that is no household is rejected and left
    # alone.
    module Database
      module_function

      # path: a file, made with its folders when missing. Returns a Sequel::Database. Raises FileRefused.
      def open(path)
        File.exist?(path) ? bring_up_to_date(path) : make(path)
        PageSums.new(path).forget
        database = Sqlite.connect(path)
        [path, "#{path}-wal", "#{path}-shm"].each { |file| File.chmod(Sqlite::PRIVATE_FILE, file) if File.exist?(file) }
        database
      end

      # A start that is broken off leaves nothing at the household's place.
      def make(path)
        FileUtils.mkdir_p(File.dirname(path), mode: Sqlite::PRIVATE_FOLDER)
        beside = "#{path}.new"
        FileUtils.rm_f(Dir.glob("#{beside}*"))
        migrated(beside)
        File.rename(beside, path)
      end
      private_class_method :make

      def bring_up_to_date(path)
        return if checked(path) == Sqlite::NEWEST

        PageSums.new(path).forget
        Backups.new(path).make("before-upgrade")
        migrated(path)
      end
      private_class_method :bring_up_to_date

      # A file that is refused is no dead end: the error names the backups.
      def checked(path)
        changed = PageSums.new(path).changed_pages
        version = HouseholdFile.check(path)
        return version if changed.empty?

        raise FileRefused, Message.of("file.changed_outside", path:, count: changed.length)
      rescue FileRefused => e
        raise FileRefused, e.message + Backups.new(path).offered
      end
      private_class_method :checked

      # One file when it is closed: nothing waits beside it.
      def migrated(path)
        database = Sqlite.connect(path)
        Sqlite.migrate(database)
        database.run("PRAGMA wal_checkpoint(TRUNCATE)")
        database.disconnect
        File.chmod(Sqlite::PRIVATE_FILE, path)
      end
      private_class_method :migrated
    end
  end
end
