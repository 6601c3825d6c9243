# frozen_string_literal: true

module Graver
  module Service
    module Forecast
      # How a vehicle's brakes stand on days to come: for every axle the chance that its first pad, its first rotor, is
      # at its limit by then, at the driving that is expected.
      class Ahead
        # days: from today; km: from now; axles: [Axle]
        Step = Core::Value.define(:days, :date, :km, :axles)
        # brakes: "disc" or "drum"; pads, rotors: chances, nil where there is no forecast
        Axle = Core::Value.define(:name, :brakes, :pads, :rotors)
        EVERY_DAYS = 14
        STEPS = 78

        def initialize(context)
          @context = context
        end

        # -> [Step], the first today. Raises NotFound.
        def call(vehicle_id)
          vehicle = @context.store.vehicles.find(vehicle_id)
          answers =
            Household::AxleRecords
              .new(@context)
              .of([vehicle])
              .fetch(vehicle_id)
              .map { |record| [record, Household::AxleAnswer.new(@context).call(record)] }
          (0..STEPS).map { |at| step(at * EVERY_DAYS, answers) }
        end

        private

        def step(days, answers)
          timeline = answers.first.last.timeline
          Step.new(
            days:,
            date: @context.today + days,
            km: timeline.km_by(@context.today + days),
            axles: answers.map { |record, answer| axle(record, answer, days) }
          )
        end

        def axle(record, answer, days)
          chance = ->(result) { result&.readings&.positive? ? answer.timeline.chance_by(result.first, days) : nil }
          Axle.new(
            name: record.axle.name,
            brakes: record.place.fetch("brakes"),
            pads: chance.call(answer.pads),
            rotors: chance.call(answer.rotors)
          )
        end
      end
    end
  end
end
