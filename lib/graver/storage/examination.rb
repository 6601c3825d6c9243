# frozen_string_literal: true

require "digest"
require "sqlite3"
require "time"

module Graver
  module Storage
    # Looks through all that belongs to a household's file and changes nothing: the file, its backups and photos, the
    # disk they are on, and this machine's clock.
    class Examination
      # what: Message, what was looked at; fault: Message that says what to do, or nil where it is well
      Found = Core::Value.define(:what, :fault)
      DAY_SECONDS = 24 * 3600
      # A server makes one every day.
      OLDEST_BACKUP_DAYS = 8
      # Nobody had Graver before; a clock that says so has stopped.
      FIRST_YEAR = 2026
      LEAST_FREE_BYTES = 500 * 1024 * 1024
      TIMES = %w[inspections job_events brake_data].freeze

      # path: the household's file; now: Time; free_bytes: callable (folder) -> Integer, or nil where nobody knows
      def initialize(path, now:, free_bytes:)
        @path = path
        @now = now
        @free_bytes = free_bytes
        @backups = Backups.new(path)
      end

      # -> [Found]
      def call
        return found("file", Message.of("doctor.no_file", path: @path)), *machine unless File.exist?(@path)

        file = file_fault
        [found("file", file), *(content unless file), found("backups", backup_fault), *machine]
      end

      private

      def found(what, fault, **tokens) = Found.new(what: Message.of("doctor.#{what}", **tokens), fault:)
      def machine = [found("disk", disk_fault), found("clock", clock_fault)]
      def content = [found("photos", photo_fault, count: photos.length), found("times", future_fault)]

      def file_fault
        HouseholdFile.check(@path)
        changed = in_use? ? [] : PageSums.new(@path).changed_pages
        Message.of("file.changed_outside", path: @path, count: changed.length) if changed.any?
      rescue FileRefused => e
        # says itself what to do
        Message.of("doctor.as_it_says", text: e.message)
      end

      def in_use?
        HouseholdLock.new(@path).release
        false
      rescue FileRefused
        true
      end

      def backup_fault
        newest = @backups.all.first or return Message.of("doctor.no_backup")
        broken = broken_backups
        return Message.of("doctor.broken_backups", names: broken) if broken.any?

        days = ((@now - newest.at) / DAY_SECONDS).floor
        Message.of("doctor.old_backup", days:) if days > OLDEST_BACKUP_DAYS
      end

      # The newest of each occasion.
      def broken_backups
        @backups.all.uniq(&:occasion).reject { |copy| sound?(copy) }.map(&:name)
      end

      def sound?(copy)
        copy.archive? ? Archive.check(copy.path) : HouseholdFile.check(copy.path)
        true
      rescue FileRefused
        false
      end

      # Digests of photos that should be there.
      def photos = @photos ||= rows("SELECT digest FROM photos WHERE removed_at IS NULL").flatten.uniq

      def photo_fault
        files = Pictures.of(@path).files.to_h { |file| [File.basename(file, ".jpg"), file] }
        missing = photos - files.keys
        broken = files.slice(*photos).reject { |digest, file| Digest::SHA256.file(file).hexdigest == digest }
        return if missing.empty? && broken.empty?

        Message.of("doctor.photos_gone", missing: missing.length, broken: broken.length)
      end

      # Entered later than now: the clock was wrong then, or is now.
      def future_fault
        newest = TIMES.flat_map { |table| rows("SELECT max(recorded_at) FROM #{table}").flatten }.compact.max
        return unless newest && Time.iso8601(newest) > @now + DAY_SECONDS

        Message.of("doctor.from_the_future", day: newest[0, 10])
      rescue ArgumentError
        Message.of("doctor.from_the_future", day: newest.to_s)
      end

      def rows(query)
        database = SQLite3::Database.new(@path, readonly: true)
        database.busy_timeout = Sqlite::BUSY_TIMEOUT_MS
        database.execute(query)
      rescue SQLite3::SQLException
        # a file of an older Graver, upgraded at its next start
        []
      ensure
        database&.close
      end

      def disk_fault
        folder = File.dirname(@path)
        return unless File.directory?(folder)

        full = FreeRoom.new(@path).fault and return Message.of(full, path: @path)
        free = @free_bytes.call(folder) or return
        Message.of("doctor.little_room", free: (free / 1_000_000.0).round) if free < LEAST_FREE_BYTES
      end

      def clock_fault = @now.year < FIRST_YEAR ? Message.of("doctor.wrong_clock", day: @now.strftime("%F")) : nil
    end
  end
end
