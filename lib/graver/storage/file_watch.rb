# frozen_string_literal: true

module Graver
  module Storage
    # Watches the household's file and its write-ahead log while they are open: SQLite notices nothing when another
    # program moves, replaces, cuts off or overwrites them, and what it saves then is lost.
    class FileWatch
      # The head of a SQLite file (sqlite.org, file format 1.3): the magic string, then big-endian numbers at these
      # places.
      HEAD_BYTES = 100
      PAGE_BYTES_AT = 16
      CHANGES_AT = 24
      PAGES_AT = 28
      VALID_FOR_AT = 92

      # Of a file's head; 1 stands for 65,536.
      def self.page_bytes(head)
        bytes = head.byteslice(PAGE_BYTES_AT, 2).to_s.unpack1("n").to_i
        bytes == 1 ? 65_536 : bytes
      end

      # path: the household's file, which exists. The block copies the log into the file -> false if another process is
      # at it, so that nothing can be said about the file's length now.
      def initialize(path, &checkpoint)
        @path = path
        @checkpoint = checkpoint || -> { true }
        # Closing any handle on the file drops SQLite's locks on it (sqlite.org, How To Corrupt, 2.2): this one stays
        # open as long as they are needed.
        @file = File.open(path, "rb")
        @place = place(path)
        @damaged = false
      end

      # The log as it is now is the one to write to: call it when a connection has opened it.
      def log_opened = @log = place(log)

      # SQLite found a damaged page: from here on nothing is saved.
      def damaged! = @damaged = true

      # -> the key of the text that says what is wrong, or nil
      def fault
        return "file.gone" unless place(@path) == @place
        return "file.log_gone" unless @log.nil? || place(log) == @log

        "file.corrupt" if @damaged || !whole?
      end

      # Only when SQLite's connections are closed.
      def close = @file.close

      private

      def log = "#{@path}-wal"

      # What identifies a file; nil where there is none.
      def place(path)
        File.stat(path).then { |found| [found.dev, found.ino] }
      rescue SystemCallError
        nil
      end

      # The head is SQLite's, and the file is as long as it says. A checkpoint writes the head first and the end last.
      def whole?
        long_enough? || !@checkpoint.call || long_enough?
      rescue SystemCallError, EOFError
        false
      end

      def long_enough?
        head = @file.pread(HEAD_BYTES, 0)
        return false unless head.bytesize == HEAD_BYTES && head.start_with?(HouseholdFile::MAGIC)
        return true unless number(head, CHANGES_AT) == number(head, VALID_FOR_AT)

        @file.size >= number(head, PAGES_AT) * self.class.page_bytes(head)
      end

      def number(head, at) = head.byteslice(at, 4).unpack1("N")
    end
  end
end
