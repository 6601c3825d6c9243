# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Levels of the fluid in a log: in a job the level before the work and the one after it are two things.
      class FluidLevels
        # before, after: Float in parts of MIN to MAX, equal where one was read alone
        Level = Core::Value.define(:look_over, :before, :after)
        BEFORE = "fluid_level"
        AFTER = "fluid_level_after"

        # look_overs: of one vehicle, oldest first
        def initialize(look_overs)
          @levels = look_overs.filter_map { |look_over| level(look_over) }
        end

        # The newest -> Level or nil
        def newest = @levels.last

        # What fell between two looks: [Level, Level], the later one by what it was before any work on it, or nil
        def pair = @levels.length > 1 ? @levels.last(2) : nil

        private

        def level(look_over)
          before, after = [BEFORE, AFTER].map { |item| figure(look_over, item) }
          Level.new(look_over:, before: before || after, after: after || before) if before || after
        end

        def figure(look_over, item)
          row = look_over.conditions.reverse.find { |each| each.item == item }
          row && Core::Quantity::EnteredNumber.parse(row.value).value.to_f
        end
      end
    end
  end
end
