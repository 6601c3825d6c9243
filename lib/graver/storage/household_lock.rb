# frozen_string_literal: true

require "fileutils"

module Graver
  module Storage
    # One server per file, whatever name it is opened by: the lock is on a file beside it, and on the household's file
    # itself, so that a link to it or a removed lock lets nobody in. Both end with the process in every case. SQLite's
    # own locks are of another kind and do not notice (flock and fcntl, Linux).
    class HouseholdLock
      # Raises FileRefused when another process has it.
      def initialize(path)
        @path = path
        FileUtils.mkdir_p(File.dirname(path), mode: Sqlite::PRIVATE_FOLDER)
        @held = [locked("#{path}.lock", File::RDWR | File::CREAT)]
        household
      end

      # Locks the household's file too, if it is there. Raises FileRefused when another process has it.
      def household
        @held << locked(@path, File::RDONLY) if @held.length == 1 && File.file?(@path)
      end

      # Lets another server have the file: when SQLite has it no more (see FileWatch).
      def release = @held.each(&:close)

      private

      def locked(path, mode)
        file = File.open(path, mode, Sqlite::PRIVATE_FILE)
        return file if file.flock(File::LOCK_EX | File::LOCK_NB)

        release if @held
        raise FileRefused, Message.of("file.in_use", path: @path)
      rescue Errno::EACCES
        # says more when it is opened
        raise FileRefused, Message.of("file.unreadable", path:)
      end
    end
  end
end
