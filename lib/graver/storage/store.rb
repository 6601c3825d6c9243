# frozen_string_literal: true

module Graver
  module Storage
    # The household's records, one repository each, and the transaction round every write.
    class Store
      attr_reader :vehicles, :brake_data, :look_overs, :drafts, :jobs, :instruments, :imports, :preferences, :corrections, :planned_events, :forecasts_given, :torque_wrenches, :supplies

      def self.open(path) = new(Database.open(path))

      def initialize(database)
        @database = database
        @vehicles = Vehicles.new(database)
        @brake_data = BrakeData.new(database)
        @look_overs = LookOvers.new(database)
        @drafts = Drafts.new(database)
        @jobs = Jobs.new(database)
        @instruments = Instruments.new(database)
        @imports = Imports.new(database)
        @preferences = Preferences.new(database)
        @corrections = Corrections.new(database)
        @planned_events = PlannedEvents.new(database)
        @torque_wrenches = TorqueWrenches.new(database)
        @supplies = Supplies.new(database)
        @forecasts_given = ForecastsGiven.new(database)
      end

      def transaction(&block) = @database.transaction(mode: :immediate, &block)

      # True when the file answers; raises otherwise.
      def reachable? = @database.get(1) == 1
      def close = @database.disconnect
    end
  end
end
