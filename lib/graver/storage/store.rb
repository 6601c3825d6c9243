# frozen_string_literal: true

module Graver
  module Storage
    # The household's records, one repository each, and the transaction round every write.
    class Store
      REPOSITORIES = {
        vehicles: Vehicles,
        brake_data: BrakeData,
        look_overs: LookOvers,
        drafts: Drafts,
        jobs: Jobs,
        instruments: Instruments,
        imports: Imports,
        preferences: Preferences,
        corrections: Corrections,
        planned_events: PlannedEvents,
        torque_wrenches: TorqueWrenches,
        supplies: Supplies,
        forecasts_given: ForecastsGiven
      }.freeze

      def self.open(path) = new(Database.open(path))

      def initialize(database)
        @database = database
        @repositories = REPOSITORIES.transform_values { |repository| repository.new(database) }.freeze
      end

      REPOSITORIES.each_key { |name| define_method(name) { repository(name) } }

      def repository(name) = @repositories.fetch(name)

      def transaction(&block) = @database.transaction(mode: :immediate, &block)

      # A number that changes whenever anything but jobs and drafts does, whoever changes it.
      def revision = @database[:household_revision].get(:revision)

      # Every use looks anew; one request remembers (RequestStore).
      def once(_key) = yield

      # Runs the block with every statement told to a Logger: for benchmarks.
      def logged(logger)
        @database.loggers << logger
        yield
      ensure
        @database.loggers.delete(logger)
      end

      # True when the file answers; raises otherwise.
      def reachable? = @database.get(1) == 1
      def close = @database.disconnect
    end
  end
end
