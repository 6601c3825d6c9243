# frozen_string_literal: true

module Graver
  module Storage
    # Makes a copy of a backup ready to become the household's file.
    class RestoredFile
      FEED = "calendar_feed"
      ACCESS = ["phone_access", FEED].freeze
      SIGN_INS = %i[sessions pairings].freeze

      # path: the copy, which changes; present: path of the household's file, or nil where it cannot be read
      def initialize(path, present)
        @path = path
        @present = present
      end

      # Brings it up to date, and keeps what belongs to the present.
      def prepare
        @database = Sqlite.connect(@path)
        Sqlite.migrate(@database)
        keep_access
        raise_revisions
        @database.run("PRAGMA journal_mode = DELETE")
      ensure
        @database&.disconnect
      end

      # Without what belongs to the machine it was made on.
      def strip
        @database = Sqlite.connect(@path)
        SIGN_INS.each { |table| @database[table].delete if @database.table_exists?(table) }
        @database[:preferences].where(key: ACCESS).delete if @database.table_exists?(:preferences)
        @database.run("VACUUM")
        @database.run("PRAGMA journal_mode = DELETE")
      ensure
        @database&.disconnect
      end

      private

      # A passphrase, a device or a calendar's address that was ended since must not come back; without the present
      # nobody knows which.
      def keep_access
        SIGN_INS.each do |table|
          @database[table].delete
          of_present(table).each { |row| @database[table].insert(row) }
        end
        @database[:preferences].where(key: @present ? ACCESS : FEED).delete
        of_present(:preferences)
          .select { |row| ACCESS.include?(row[:key]) }
          .each { |row| @database[:preferences].insert(row) }
      end

      # Answers cached before must not be taken for answers to what is there then: the revisions go on rising.
      def raise_revisions
        household = [
          @database[:household_revision].get(:revision),
          *of_present(:household_revision).map { _1[:revision] }
        ]
        @database[:household_revision].update(revision: household.max + 1)
        shared = @database[:vehicle_revisions].where(vehicle_id: 0)
        before = of_present(:vehicle_revisions).select { |row| row[:vehicle_id].zero? }.map { |row| row[:revision] }
        shared.update(revision: [shared.get(:revision), *before].max + 1)
      end

      # Rows of the present file; none where it has no such table.
      def of_present(table)
        return [] unless @present

        database =
          Sequel.connect(adapter: "sqlite", database: @present, readonly: true, timeout: Sqlite::BUSY_TIMEOUT_MS)
        database.table_exists?(table) ? database[table].all : []
      ensure
        database&.disconnect
      end
    end
  end
end
