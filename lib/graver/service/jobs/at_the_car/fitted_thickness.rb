# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The thickness of a part fitted in a job: measured, or as sold, and thick enough.
      class FittedThickness
        # Where no tool is named.
        SOLD = "stated"

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # FittedParts::Fit, { value:, unit:, method: } -> the same as it is kept. Raises InvalidEntry.
        def call(fit, given)
          entered = entered(fit, given)
          refuse_worn(fit, entered.thicknesses.first.value_mm)
          { value: entered.values.first.strip, unit: entered.unit, method: entered.method }
        rescue InvalidEntry => e
          raise(InvalidEntry, e.faults.map { |fault| fault.dup.tap { |copy| copy.field = "" } })
        end

        private

        def refuse_worn(fit, value_mm)
          return refuse_wide(fit.file.drum_maximum_mm, value_mm) if fit.part == "drum"

          least = fit.part == "pad" ? fit.file.limit_mm : fit.file.discard_mm
          return unless least && value_mm <= least
          raise InvalidEntry.of("", "too_thin", Message.of("jobs.too_thin", least: least.to_f))
        end

        def refuse_wide(most, value_mm)
          return unless most && value_mm >= most
          raise InvalidEntry.of("", "too_wide", Message.of("jobs.too_wide", most: most.to_f))
        end

        def entered(fit, given)
          place = { axle: fit.file.axle.id, part: fit.part, side: fit.sides.first, event: "reading" }
          Measuring::EnteredReading.new(
            @knowledge,
            fit.file,
            {
              **place,
              method: given[:method] || SOLD,
              pad: fit.part == "pad" ? fit.file.pads.first : nil,
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
