# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Judgement
      # A reading that can hardly be true is questioned while the wheel is still off, never silently taken or dropped.
      class ReadingQuestions
        # code: "thicker_than_new", "thicker_than_before", "with_plate", "far_below"; tokens for its sentence.
        Question = Value.define(:code, :tokens)
        # Beyond this many standard deviations a difference is not the instruments'.
        COVERAGE = 3.0

        # thickness: the reading; new_mm, backing_mm: of the part or nil; before: newest Thickness of the same position in
        # the same set or nil; expected: { mean_mm:, sd_mm: } forecast for here, or nil. -> [Question]
        def call(thickness:, new_mm:, backing_mm:, before:, expected:)
          found = [thicker_than_new(thickness, new_mm, backing_mm), thicker_than_before(thickness, before), far_below(thickness, expected)]
          found.compact.uniq(&:code).first(1)
        end

        private

        def thicker_than_new(thickness, new_mm, backing_mm)
          return unless new_mm && least(thickness) > new_mm * 1.005

          plate = backing_mm && least(thickness) - backing_mm <= new_mm
          tokens = { read_mm: thickness.value_mm, new_mm:, without_plate_mm: backing_mm && (thickness.value_mm - backing_mm) }
          Question.new(code: plate ? "with_plate" : "thicker_than_new", tokens:)
        end

        def thicker_than_before(thickness, before)
          return unless before

          error = COVERAGE * Math.hypot(thickness.standard_uncertainty_mm, before.standard_uncertainty_mm)
          return unless thickness.value_mm - before.value_mm > error

          Question.new(code: "thicker_than_before", tokens: { read_mm: thickness.value_mm, before_mm: before.value_mm })
        end

        def far_below(thickness, expected)
          return unless expected

          error = COVERAGE * Math.hypot(thickness.standard_uncertainty_mm, expected.fetch(:sd_mm))
          return unless expected.fetch(:mean_mm) - thickness.value_mm > [error, 1.0].max

          Question.new(code: "far_below", tokens: { read_mm: thickness.value_mm, expected_mm: expected.fetch(:mean_mm) })
        end

        def least(thickness) = thickness.interval? ? thickness.lower_mm : thickness.value_mm - (2 * thickness.standard_uncertainty_mm)
      end
    end
  end
end
