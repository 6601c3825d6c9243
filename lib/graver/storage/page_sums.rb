# frozen_string_literal: true

require "fileutils"
require "json"
require "zlib"

module Graver
  module Storage
    # Checksums of the file's pages, kept beside it while no server has it: at its next start Graver finds a page that
    # something else changed. SQLite's own check finds a broken structure, not a changed row.
    class PageSums
      HEAD_BYTES = 100

      # path: the household's file
      def initialize(path)
        @path = path
        @sums = "#{path}.sums"
      end

      # Only when the file is closed: it reads it past SQLite (see FileWatch). What still waits in the log would be
      # missing.
      def keep
        return if File.exist?("#{@path}-wal")

        beside = "#{@sums}.part"
        File.write(beside, JSON.generate(of_file), perm: Sqlite::PRIVATE_FILE)
        File.rename(beside, @sums)
      rescue SystemCallError => e
        ErrorLog.report(e)
      end

      # The numbers of pages that changed since -> [Integer], from 1. None where the head changed too: that is another
      # state of the file, such as a copy the owner put there.
      def changed_pages
        kept = read or return []
        now = of_file
        return [] unless now["head"] == kept["head"] && now["page_bytes"] == kept["page_bytes"]

        now["pages"].zip(kept["pages"]).each.with_index(1).filter_map { |(is, was), number| number if is != was }
      end

      # What writes the file next makes them wrong.
      def forget = FileUtils.rm_f(@sums)

      private

      def read
        JSON.parse(File.read(@sums)) if File.file?(@sums)
      rescue SystemCallError, JSON::ParserError
        nil
      end

      def of_file
        File.open(@path, "rb") do |file|
          head = file.read(HEAD_BYTES).to_s
          bytes = [FileWatch.page_bytes(head), 512].max
          file.rewind
          pages = []
          while (page = file.read(bytes))
            pages << Zlib.crc32(page)
          end
          { "head" => head.unpack1("H*"), "page_bytes" => bytes, "pages" => pages }
        end
      end
    end
  end
end
