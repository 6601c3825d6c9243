# frozen_string_literal: true

require "fileutils"

module Graver
  module Storage
    # Whether the disk of the household's file still takes something: tried by writing beside it.
    class FreeRoom
      PROBE_BYTES = 64 * 1024

      # path: the household's file
      def initialize(path)
        @probe = "#{path}.room"
      end

      # -> the key of the text that says why nothing fits, or nil
      def fault
        File.binwrite(@probe, "\0" * PROBE_BYTES, perm: Sqlite::PRIVATE_FILE)
        nil
      rescue Errno::ENOSPC, Errno::EDQUOT
        "file.disk_full"
      rescue SystemCallError
        "file.not_writable"
      ensure
        FileUtils.rm_f(@probe)
      end
    end
  end
end
