# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # How thick a part is that goes on in a job: read with a caliper or from its box, and thick enough to go on.
      class FittedThickness
        # What a fitted part's figure counts as (docs/formats.md).
        METHOD = "caliper"

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # JobOutcome::Fit, { value:, unit: } -> { value:, unit: } as it is kept. Raises InvalidEntry.
        def call(fit, given)
          entered = entered(fit, given)
          least = fit.part == "pad" ? fit.file.limit_mm : fit.file.discard_mm
          if least && entered.thicknesses.first.value_mm <= least
            raise InvalidEntry.of("", "too_thin", Texts.say("jobs.too_thin", least: least.to_f))
          end

          { value: entered.values.first.strip, unit: entered.unit }
        rescue InvalidEntry => e
          raise(InvalidEntry, e.faults.map { |fault| fault.dup.tap { |copy| copy.field = "" } })
        end

        private

        def entered(fit, given)
          place = { axle: fit.file.axle.id, part: fit.part, side: fit.sides.first, event: "reading", method: METHOD }
          Measuring::EnteredReading.new(
            @knowledge,
            fit.file,
            {
              **place,
              pad: fit.part == "pad" ? "inner" : nil,
              values: [given[:value]],
              unit: given[:unit] || "mm",
              overall: false
            },
            {}
          )
        end
      end
    end
  end
end
