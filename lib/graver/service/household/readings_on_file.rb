# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Readings that a change would make impossible, named so that their owner finds them.
      class ReadingsOnFile
        MOST_NAMED = 5

        # One reading of a vehicle, in words.
        def self.said(vehicle, inspection, row)
          axle = vehicle.axles.find { |each| each.id == row.axle_id }&.name
          place = [axle, row.side, row.pad, Message.part(BrakeKind.part_of(row))].compact.join(" ")
          Message.of("log.named_reading", place:, value: "#{row.value} #{row.unit}", day: inspection.date)
        end

        def initialize(store)
          @store = store
        end

        # [[Inspection, ReadingRow]] -> a sentence
        def refusal(readings, text = "faults.breaks_readings")
          Message.of(
            text,
            count: readings.length,
            readings: readings.first(MOST_NAMED).map { |inspection, row| named(inspection, row) },
            more: readings.length > MOST_NAMED ? Message.of("log.and_more", count: readings.length - MOST_NAMED) : ""
          )
        end

        private

        def named(inspection, row)
          vehicle = @store.vehicles.find(inspection.vehicle_id)
          "#{vehicle.name} #{self.class.said(vehicle, inspection, row)}"
        end
      end
    end
  end
end
