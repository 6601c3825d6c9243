# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Levels of the fluid in a log: in a job the level before the work and the one after it are two things.
      class FluidLevels
        # before, after: Float in parts of MIN to MAX, equal where one was read alone
        Level = Core::Value.define(:inspection, :before, :after)
        LEVEL = "fluid_level"
        AFTER = "_after"
        # Vehicles with a reservoir for each axle.
        APART = %w[motorcycle].freeze

        # Circuits with a reservoir of their own -> [axle name], or [nil] where one serves them all
        def self.reservoirs(vehicle) = APART.include?(vehicle.kind) ? vehicle.axles.map(&:name) : [nil]

        # Figure of a reservoir, as it is asked at a step: "fluid_level_after", of the rear one "fluid_level_rear_after"
        def self.figure(item, axle) = axle ? item.sub(LEVEL, "#{LEVEL}_#{axle}") : item

        # inspections: of one vehicle, oldest first; axle: whose reservoir it is, or nil
        def initialize(inspections, axle = nil)
          @before = [self.class.figure(LEVEL, axle), *(LEVEL if axle == "front")]
          @after = [self.class.figure("#{LEVEL}#{AFTER}", axle)]
          @levels = inspections.filter_map { |inspection| level(inspection) }
        end

        # The newest -> Level or nil
        def newest = @levels.last

        # The level at two inspections: [Level, Level], the later one before any work on it, or nil
        def pair = @levels.length > 1 ? @levels.last(2) : nil

        private

        def level(inspection)
          before, after = [@before, @after].map { |items| figure(inspection, items) }
          Level.new(inspection:, before: before || after, after: after || before) if before || after
        end

        def figure(inspection, items)
          row = inspection.conditions.reverse.find { |each| items.include?(each.item) }
          row && Core::Quantity::EnteredNumber.parse(row.value).value.to_f
        end
      end
    end
  end
end
