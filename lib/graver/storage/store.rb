# frozen_string_literal: true

require "sqlite3"

module Graver
  module Storage
    # The household's records, one repository each, and the transaction round every write.
    class Store
      REPOSITORIES = {
        vehicles: Vehicles,
        brake_data: BrakeData,
        inspections: Inspections,
        drafts: Drafts,
        jobs: Jobs,
        instruments: Instruments,
        imports: Imports,
        preferences: Preferences,
        corrections: Corrections,
        planned_events: PlannedEvents,
        follow_ups: FollowUps,
        photos: Photos,
        sessions: Sessions,
        torque_wrenches: TorqueWrenches,
        supplies: Supplies,
        forecasts_given: ForecastsGiven,
        idempotent_responses: IdempotentResponses,
        response_cache: ResponseCacheStore
      }.freeze
      # Why SQLite did not keep something -> text that says it.
      UNKEPT = {
        SQLite3::FullException => "file.full",
        SQLite3::ReadOnlyException => "file.read_only",
        SQLite3::IOException => "file.io",
        SQLite3::CantOpenException => "file.io",
        SQLite3::CorruptException => "file.corrupt",
        SQLite3::NotADatabaseException => "file.corrupt",
        SQLite3::BusyException => "file.busy"
      }.freeze

      # Raises FileRefused.
      def self.open(path) = new(Database.open(path), path)

      # For a process beside the server that has the file: it is checked and whole. Raises FileRefused.
      def self.beside(path)
        raise FileRefused, Message.of("file.not_a_file", path:) unless File.file?(path)

        new(Sqlite.connect(path), path, own: false)
      end

      # own: whether the file is this process's to look after
      def initialize(database, path, own: true)
        @database = database
        @path = path
        @own = own
        @watch = watched
        @room = FreeRoom.new(path)
        @repositories = REPOSITORIES.transform_values { |repository| repository.new(database) }.freeze
      end

      REPOSITORIES.each_key { |name| define_method(name) { repository(name) } }

      # name: a key of REPOSITORIES
      def repository(name) = @repositories.fetch(name)

      # Raises NotSaved if the block's writes cannot be saved: then none of them is.
      def transaction(&block)
        raise_if_unsafe
        @database.transaction(mode: :immediate, &block)
      rescue Sequel::DatabaseError => e
        raise unkept(e) || e
      end

      # -> Revisions, in one statement
      def revisions
        rows = @database[:vehicle_revisions].select(:vehicle_id, :revision)
        numbers = rows.union(@database[:household_revision].select(nil, :revision), all: true, from_self: false).to_a
        all = numbers.to_h { |row| row.values_at(:vehicle_id, :revision) }
        Revisions.new(household: all.delete(nil), shared: all.delete(0), vehicles: all)
      end

      # False within a transaction, where what is read may never be saved. The second: of all but jobs and drafts.
      def settled? = !@database.in_transaction?
      def records_settled? = settled?

      # Every call reads again; within one request reads are remembered (RequestStore).
      def once(_key) = yield

      # Adds what a checked document has and this household hasn't -> { table => OpenFormat::Merged::Count }. The block
      # may roll it back. Raises NotSaved.
      def merge(document, &block)
        transaction { OpenFormat::Merged.new(@database).call(document).tap(&block) }
      end

      # All of it as a document of the open format. at: when it is written
      def document(at) = OpenFormat::Written.new(@database).call(at)

      # -> OpenFormat::Desk
      def desk = @desk ||= OpenFormat::Desk.new(backups, pictures)
      # -> Backups of the file
      def backups = @backups ||= Backups.new(@path)
      # -> Pictures beside the file
      def pictures = @pictures ||= Pictures.of(@path)

      # Runs the block with every statement sent to a Logger: for benchmarks.
      def logged(logger)
        @database.loggers << logger
        yield
      ensure
        @database.loggers.delete(logger)
      end

      # True when the file answers, is whole as far as one can see at a glance, and can be written to. Raises NotSaved
      # otherwise.
      def reachable?
        raise_if_unsafe
        full = @room.fault and raise NotSaved, Message.of(full, path: @path)
        @database.get(1) == 1
      end

      # See FileWatch#damaged!: somebody looked at the whole file.
      def damaged! = @watch.damaged!

      # Closes its connections, and keeps what tells at the next start whether the file is as it is now.
      def close
        return if @closed

        @closed = true
        sound = @watch.fault.nil?
        @database.close_for_good
        @watch.close
        PageSums.new(@path).keep if sound && @own
      end

      private

      def watched
        @database.get(1)
        watch = FileWatch.new(@path) { checkpoint }
        watch.log_opened
        @database.extend(GuardedDatabase)
        @database.tell(watch, @path)
        watch
      end

      # -> false if another process is at it, or nothing can be said within a transaction
      def checkpoint
        !@database.in_transaction? && @database.fetch("PRAGMA wal_checkpoint(PASSIVE)").get(:busy).zero?
      rescue Sequel::DatabaseError, NotSaved
        true
      end

      # Nothing is written to a file that would not keep it.
      def raise_if_unsafe
        fault = @watch.fault or return
        rescue_log if fault == "file.log_gone"
        raise NotSaved, Message.of(fault, path: @path)
      end

      # What was acknowledged is still in the log that SQLite holds open, though it has no name: it goes into the file.
      def rescue_log
        @database.run("PRAGMA wal_checkpoint(FULL)")
      rescue Sequel::Error => e
        ErrorLog.report(e)
      end

      def unkept(error)
        _, text = UNKEPT.find { |kind, _| error.wrapped_exception.is_a?(kind) }
        text && NotSaved.new(Message.of(text, path: @path))
      end
    end
  end
end
