# frozen_string_literal: true

require "fileutils"

module Graver
  module Storage
    # One server per file. The lock is beside the file, as SQLite locks the file itself, and ends with its process in
    # every case.
    class HouseholdLock
      # Raises FileRefused when another process has it.
      def initialize(path)
        FileUtils.mkdir_p(File.dirname(path), mode: Sqlite::PRIVATE_FOLDER)
        @file = File.open("#{path}.lock", File::RDWR | File::CREAT, Sqlite::PRIVATE_FILE)
        return if @file.flock(File::LOCK_EX | File::LOCK_NB)

        raise FileRefused, Message.of("file.in_use", path:)
      end

      # Lets another server have the file.
      def release = @file.close
    end
  end
end
