# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Puts a shop's claim about an axle's pads into the log: weak evidence, and to be compared with later.
      class LogClaim
        def initialize(context)
          @context = context
        end

        # given: { axle:, part: "pad", value: and unit: as entered, odometer: { value:, unit: } } -> the inspection's
        # id. Raises InvalidEntry, NotFound.
        def call(vehicle_id, given)
          figure = figure(vehicle_id, given[:axle])
          mm = Judging::Findings.new(@context).claimed_mm(given).to_f.round(2)
          said = { item: figure.id, value: mm.to_s }
          LogInspection.new(@context).beside(
            vehicle_id,
            { date: @context.today.iso8601, odometer: given[:odometer], readings: [], conditions: [said] }
          )
        end

        private

        def figure(vehicle_id, axle_id)
          axle = @context.store.vehicles.find(vehicle_id).axles.find { |each| each.id == axle_id }
          figure = @context.knowledge.condition_figures.find { |each| each.spoken && each.axle == axle&.name }
          figure || raise(InvalidEntry.of("axle", "unknown_axle", Message.of("faults.unknown_axle")))
        end
      end
    end
  end
end
