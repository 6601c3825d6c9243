# frozen_string_literal: true

require "fileutils"
require "sqlite3"
require "time"

module Graver
  module Storage
    # Copies of the household's file, in a folder named after it. A copy is whole and was opened on trial
    # before it has its name; the newest of each occasion are kept.
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
      NAME = /\A(?<at>\d{8}T\d{9}Z)-(?<occasion>[a-z-]+)\.sqlite3\z/
      # bytes: its size; at: Time it was made
      Copy = Core::Value.define(:name, :path, :at, :occasion, :bytes) { def to_s = name }

      # path: the household's file
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

      # Copies the file as it stands, while others read and write it -> Copy. Raises NotSaved.
      def make(occasion)
        FileUtils.mkdir_p(@folder, mode: Sqlite::PRIVATE_FOLDER)
        name = "#{@now.call.strftime(STAMP)}-#{occasion}.sqlite3"
        beside = File.join(@folder, ".#{name}.part")
        copy_over(@path, beside) { |copy| copy.execute("PRAGMA journal_mode = DELETE") }
        HouseholdFile.check(beside)
        File.rename(beside, File.join(@folder, name))
        rotate(occasion)
        find(name)
      rescue SystemCallError, SQLite3::Exception, FileRefused => e
        raise NotSaved, Message.of("file.no_backup", because: e.message)
      ensure
        FileUtils.rm_f([beside, "#{beside}-wal", "#{beside}-shm"]) if beside
      end

      # Makes today's when there is none yet -> Copy or nil
      def daily
        today = @now.call.strftime("%Y%m%d")
        make("daily") if all.none? { |copy| copy.occasion == "daily" && copy.name.start_with?(today) }
      end

      # Restores a backup into the household's file in one go, and upgrades it. The present file is backed up first ->
      # Copy of that, or nil if there was nothing to copy. Raises NotFound, FileRefused, NotSaved.
      def restore(name)
        copy = find(name)
        HouseholdFile.check(copy.path)
        ready = prepared(copy)
        before = before_restore
        PageSums.new(@path).forget
        before ? copy_over(ready, @path) : put_in_place(ready)
        before
      rescue SystemCallError, SQLite3::Exception => e
        raise NotSaved, Message.of("file.not_restored", because: e.message)
      ensure
        FileUtils.rm_f([ready, "#{ready}-wal", "#{ready}-shm"]) if ready
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
      def before_restore
        HouseholdFile.check(@path)
        make("before-restore")
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

      # A copy of the copy, brought up to date. Answers cached before must not be taken for answers to what is there
      # then: the revision goes on rising -> its path
      def prepared(copy)
        ready = File.join(@folder, ".#{copy.name}.ready")
        FileUtils.cp(copy.path, ready)
        database = Sqlite.connect(ready)
        Sqlite.migrate(database)
        revisions = [revision_of(@path), database[:household_revision].get(:revision)]
        database[:household_revision].update(revision: revisions.max + 1)
        shared = [shared_revision_of(@path), database[:vehicle_revisions].where(vehicle_id: 0).get(:revision)]
        database[:vehicle_revisions].where(vehicle_id: 0).update(revision: shared.max + 1)
        database.run("PRAGMA journal_mode = DELETE")
        database.disconnect
        ready
      end

      def revision_of(path) = number(path, "SELECT revision FROM household_revision")
      def shared_revision_of(path) = number(path, "SELECT revision FROM vehicle_revisions WHERE vehicle_id = 0")

      # 0 where there is no such file, or an older one.
      def number(path, query)
        database = SQLite3::Database.new(path, readonly: true)
        database.get_first_value(query) || 0
      rescue SQLite3::Exception
        0
      ensure
        database&.close
      end

      def rotate(occasion)
        mine = all.select { |copy| copy.occasion == occasion }
        mine.drop(KEPT.fetch(occasion)).each { |copy| FileUtils.rm_f(copy.path) }
      end
    end
  end
end
