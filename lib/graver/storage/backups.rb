# frozen_string_literal: true

require "fileutils"
require "sqlite3"
require "time"
require "tmpdir"

module Graver
  module Storage
    # Backups of the household, in a folder named after its file. The ones made by hand are archives: everything in one
    # file. The others are copies of the database; their photos, which never change, are kept once for all of them. A
    # backup is whole and was opened on trial before it has its name; the newest of each occasion are kept.
    class Backups
      # How many of each occasion are kept.
      KEPT = {
        "daily" => 14,
        "by-hand" => 20,
        "before-upgrade" => 5,
        "before-import" => 10,
        "before-restore" => 10
      }.freeze
      STAMP = "%Y%m%dT%H%M%S%LZ"
      NAME = /\A(?<at>\d{8}T\d{9}Z)-(?<occasion>[a-z-]+)\.(?:sqlite3|tar)\z/
      ARCHIVED = "by-hand"
      # bytes: its size; at: Time it was made
      Copy =
        Core::Value.define(:name, :path, :at, :occasion, :bytes) do
          def to_s = name
          # Whether everything is in this one file.
          def archive? = name.end_with?(".tar")
        end
      DAY_SECONDS = 24 * 3600

      # path: the household's file
      # Where they are kept; there may be none yet.
      attr_reader :folder

      def initialize(path, now: -> { Time.now.utc })
        @path = path
        @folder = File.join(File.dirname(path), "#{File.basename(path, ".*")}-backups")
        @now = now
      end

      # The household's own file.
      def household = @path
      # Looks through it. Raises FileRefused, FileBusy.
      def check_household = HouseholdFile.check(@path)

      # The newest first -> [Copy]
      def all
        names = File.directory?(@folder) ? Dir.children(@folder) : []
        names.filter_map { |name| (found = NAME.match(name)) && copy(name, found) }.sort_by(&:name).reverse
      end

      # Raises NotFound.
      def find(name) = all.find { |copy| copy.name == name } || raise(NotFound, Message.of("missing.backup"))

      # Backs up all that there is now, while others read and write it -> Copy. Raises NotSaved.
      def make(occasion)
        apart do |folder|
          database = File.join(folder, "household.sqlite3")
          copy_over(@path, database) { |copy| copy.execute("PRAGMA journal_mode = DELETE") }
          HouseholdFile.check(database)
          name = occasion == ARCHIVED ? archive(database, folder) : plain(database, occasion)
          rotate(occasion)
          find(name)
        end
      rescue SystemCallError, SQLite3::Exception, FileRefused => e
        raise NotSaved, Message.of("file.no_backup", because: e.message)
      end

      # Makes today's when there is none yet -> Copy or nil
      def daily
        sweep
        today = @now.call.strftime("%Y%m%d")
        make("daily") if all.none? { |copy| copy.occasion == "daily" && copy.name.start_with?(today) }
      end

      # Restores a backup into the household's file in one go, and upgrades it; today's passphrase and devices stay. The
      # present data are backed up first -> Copy of that, or nil if there was nothing to copy. Raises NotFound,
      # FileRefused, NotSaved.
      def restore(name)
        copy = find(name)
        apart { |folder| replace(*opened(copy, folder), "before-restore") }
      rescue SystemCallError, SQLite3::Exception => e
        raise NotSaved, Message.of("file.not_restored", because: e.message)
      end

      # Puts what another file holds in the place of the household. ready: a database that may be changed; photos:
      # [path] -> Copy of what was there, or nil. Raises NotSaved.
      def replace(ready, photos, occasion)
        before = before(occasion)
        RestoredFile.new(ready, before && @path).prepare
        Pictures.of(@path).take_in(photos)
        PageSums.new(@path).forget
        before ? copy_over(ready, @path) : put_in_place(ready)
        before
      rescue SystemCallError, SQLite3::Exception => e
        raise NotSaved, Message.of("file.not_restored", because: e.message)
      end

      # A folder for what is not ready yet, which is gone afterwards.
      def apart(&block)
        FileUtils.mkdir_p(@folder, mode: Sqlite::PRIVATE_FOLDER)
        Dir.mktmpdir(".making-", @folder, &block)
      end

      # Takes in an archive from elsewhere, which the block writes to the IO it is given -> its name here. passphrase:
      # of an encrypted copy. Raises FileRefused, InvalidEntry, NotSaved.
      def take_in(passphrase: nil, &block)
        apart do |folder|
          path = opened_copy(folder, passphrase, &block)
          Archive.check(path)
          name = named(ARCHIVED, "tar", path)
          rotate(ARCHIVED)
          name
        end
      rescue SystemCallError => e
        raise NotSaved, Message.of("file.no_backup", because: e.message)
      end

      # A new backup, locked with a passphrase: its bytes part by part -> Enumerator. Raises InvalidEntry, NotSaved.
      def encrypted(passphrase)
        EncryptedCopy.check(passphrase)
        archive = make(ARCHIVED)
        Enumerator.new do |parts|
          apart do |folder|
            path = File.join(folder, "locked.zip")
            EncryptedCopy.write(path, archive.path, passphrase)
            FileParts.each(path) { |part| parts << part }
          end
        end
      end

      # The bytes of an archive, part by part -> Enumerator. Raises NotFound.
      def archive_parts(name)
        copy = find(name)
        raise NotFound, Message.of("missing.backup") unless copy.archive?

        Enumerator.new { |parts| FileParts.each(copy.path) { |part| parts << part } }
      end

      # What to do when the file cannot be used, as the end of a sentence about it.
      def offered
        newest = all.first(3)
        return " #{Message.of("file.no_backups")}" if newest.empty?

        " #{Message.of("file.backups", names: newest.map(&:name))}"
      end

      private

      def copy(name, found)
        path = File.join(@folder, name)
        at = Time.strptime(found[:at], "%Y%m%dT%H%M%S%L%z")
        Copy.new(name:, path:, at:, occasion: found[:occasion], bytes: File.size(path))
      end

      # Within SQLite's own locks (sqlite.org, online backup).
      def copy_over(from, to)
        source = SQLite3::Database.new(from, readonly: true)
        target = SQLite3::Database.new(to)
        File.chmod(Sqlite::PRIVATE_FILE, to)
        backup(source, target)
        yield target if block_given?
      ensure
        [source, target].compact.each(&:close)
      end

      def backup(source, target)
        source.busy_timeout = target.busy_timeout = Sqlite::BUSY_TIMEOUT_MS
        copying = SQLite3::Backup.new(target, "main", source, "main")
        done = copying.step(-1)
        copying.finish
        raise SQLite3::BusyException, Message.of("file.busy") unless done == SQLite3::Constants::ErrorCode::DONE
      end

      # A backup of the present file, or nil if there is nothing to copy.
      def before(occasion)
        HouseholdFile.check(@path)
        make(occasion)
      rescue FileRefused
        nil
      end

      # What cannot be opened is put aside, never thrown away.
      def put_in_place(ready)
        aside = "#{@path}.refused-#{@now.call.strftime(STAMP)}"
        [@path, "#{@path}-wal", "#{@path}-shm"].each do |file|
          File.rename(file, file.sub(@path, aside)) if File.exist?(file)
        end
        File.chmod(Sqlite::PRIVATE_FILE, ready)
        File.rename(ready, @path)
      end

      # -> path of the tar that the block writes, as it is or locked
      def opened_copy(folder, passphrase, &block)
        path = File.join(folder, "given")
        File.open(path, "wb", Sqlite::PRIVATE_FILE, &block)
        return path unless EncryptedCopy.this?(path)

        File.join(folder, "archive.tar").tap { |tar| EncryptedCopy.open(path, tar, passphrase) }
      end

      def plain(database, occasion)
        vault.take_in(Pictures.of(@path).files)
        named(occasion, "sqlite3", database)
      end

      def archive(database, folder)
        made = File.join(folder, "made.tar")
        RestoredFile.new(database, nil).strip
        Archive.write(made, database:, photos: Pictures.of(@path).files)
        Archive.check(made)
        named(ARCHIVED, "tar", made)
      end

      # Gives it its name -> that
      def named(occasion, kind, path)
        name = "#{@now.call.strftime(STAMP)}-#{occasion}.#{kind}"
        File.rename(path, File.join(@folder, name))
        name
      end

      # Photos of all copies that are no archives.
      def vault = Pictures.new(File.join(@folder, "photos"))

      # -> [path of a database that may be changed, [path of a photo]]
      def opened(copy, folder)
        ready = File.join(folder, Archive::DATABASE)
        unless copy.archive?
          HouseholdFile.check(copy.path)
          FileUtils.cp(copy.path, ready)
          return ready, vault.files
        end

        Archive.unpack(copy.path, folder)
        HouseholdFile.check(ready)
        [ready, Dir.glob(File.join(folder, "photos/*.jpg"))]
      end

      # What a killed process left.
      def sweep
        left =
          Dir.glob(File.join(@folder, ".making-*")).select { |folder| File.mtime(folder) < @now.call - DAY_SECONDS }
        FileUtils.rm_rf(left)
      end

      def rotate(occasion)
        mine = all.select { |copy| copy.occasion == occasion }
        mine.drop(KEPT.fetch(occasion)).each { |copy| FileUtils.rm_f(copy.path) }
      end
    end
  end
end
