# frozen_string_literal: true

module Graver
  module Service
    module Forecast
      # A planned trip on other days: how likely each axle is at its limit by the trip's end then, and as it is planned
      # now. Nothing is kept.
      class MovedTrip
        # from, to: Dates of the trip when it is moved; axles: [Axle]
        Moved = Core::Value.define(:from, :to, :axles)
        # brakes: "disc" or "drum"; pads, rotors: chances by the end of the moved trip, the others by the end of the
        # trip as planned; nil where
        # there is no forecast
        Axle = Core::Value.define(:name, :brakes, :pads, :rotors, :pads_before, :rotors_before)

        def initialize(context)
          @context = context
          @planned = Household::PlannedEvents.new(context)
        end

        # The planned trip, by id, and the day it would begin, as text -> Moved. Raises NotFound, InvalidEntry.
        def call(id, from)
          row, days = @planned.moved(id, from, kinds: ["trip"])
          trip, moved = [@planned.trip(row), @planned.trip(row.with(**days))]
          vehicle = @context.store.vehicles.find(row.vehicle_id)
          records = Household::AxleRecords.new(@context).of([vehicle]).fetch(vehicle.id)
          Moved.new(from: moved.from, to: moved.to, axles: records.map { |record| axle(record, trip, moved) })
        end

        private

        def axle(record, trip, moved)
          now = Household::AxleAnswer.new(@context).call(record)
          timeline = now.timeline
          others = timeline.trips - [trip]
          supposed =
            @context
              .knowledge
              .outlook
              .suppose(
                now,
                timeline:
                  Core::Schedule::Timeline.new(
                    now.driving,
                    now.as_of_date,
                    trips: [*others, moved],
                    changes: timeline.changes
                  )
              ) { |_, result| result.supposing }
          pads, rotors = chances(supposed, moved.to)
          pads_before, rotors_before = chances(now, trip.to)
          Axle.new(
            name: record.axle.name,
            brakes: record.place.fetch("brakes"),
            pads:,
            rotors:,
            pads_before:,
            rotors_before:
          )
        end

        def chances(answer, day)
          days = (day - answer.as_of_date).to_i
          [answer.pads, answer.rotors].map do |result|
            result&.readings&.positive? ? answer.timeline.chance_by(result.first, days) : nil
          end
        end
      end
    end
  end
end
