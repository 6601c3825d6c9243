# frozen_string_literal: true

module Graver
  module Service
    module Axles
      # Readings that a change would make impossible, named so that their owner finds them.
      class ReadingsOnFile
        MOST_NAMED = 5

        # One of a vehicle, in words.
        def self.said(vehicle, look_over, row)
          axle = vehicle.axles.find { |each| each.id == row.axle_id }&.name
          place = [axle, row.side, row.pad, row.part].compact.join(" ")
          Texts.say("log.named_reading", place:, value: "#{row.value} #{row.unit}", day: look_over.date)
        end

        def initialize(store)
          @store = store
        end

        # [[LookOver, ReadingRow]] -> a sentence
        def refusal(readings, text = "faults.breaks_readings")
          Texts.say(
            text,
            count: readings.length,
            readings: readings.first(MOST_NAMED).map { |look_over, row| named(look_over, row) },
            more: readings.length > MOST_NAMED ? Texts.say("log.and_more", count: readings.length - MOST_NAMED) : ""
          )
        end

        private

        def named(look_over, row)
          vehicle = @store.vehicles.find(look_over.vehicle_id)
          "#{vehicle.name} #{self.class.said(vehicle, look_over, row)}"
        end
      end
    end
  end
end
