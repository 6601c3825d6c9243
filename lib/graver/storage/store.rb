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

      def initialize(database, path)
        @database = database
        @path = path
        @place = place
        @repositories = REPOSITORIES.transform_values { |repository| repository.new(database) }.freeze
      end

      REPOSITORIES.each_key { |name| define_method(name) { repository(name) } }

      # name: a key of REPOSITORIES
      def repository(name) = @repositories.fetch(name)

      # Raises NotSaved if the block's writes cannot be saved: then none of them is.
      def transaction(&block)
        raise NotSaved, Message.of("file.gone", path: @path) unless place == @place

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

      # -> Backups of the file
      def backups = @backups ||= Backups.new(@path)
      # -> Pictures beside the file
      def pictures = @pictures ||= Pictures.new(@path)

      # Runs the block with every statement sent to a Logger: for benchmarks.
      def logged(logger)
        @database.loggers << logger
        yield
      ensure
        @database.loggers.delete(logger)
      end

      # True when the file answers and is where it was; raises otherwise.
      def reachable?
        raise NotSaved, Message.of("file.gone", path: @path) unless place == @place

        @database.get(1) == 1
      end

      # Closes its connections.
      def close = @database.disconnect

      private

      # Identifies the file at the path: a removed or replaced one would take the writes with it.
      def place
        File.stat(@path).then { |found| [found.dev, found.ino] }
      rescue SystemCallError
        nil
      end

      def unkept(error)
        _, text = UNKEPT.find { |kind, _| error.wrapped_exception.is_a?(kind) }
        text && NotSaved.new(Message.of(text, path: @path))
      end
    end
  end
end
