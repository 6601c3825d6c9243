# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Questions implausible readings while the wheel is still off; never accepts or drops them silently.
      class ReadingQuestions
        # code: key of the rule table's questions; tokens for its sentence: mm values, and a unit where another one
        # fits.
        Question = Value.define(:code, :tokens)
        # - thickness: the reading
        # - alternatives: { unit => the same figures in that unit, mm }
        # - new_mm: thickness of the part when new, or nil
        # - plate_mm: what the reading would lose if its backing plate was included, or nil
        # - before: the newest earlier thickness of this position in this set, or nil
        # - expected: { mean_mm:, sd_mm: } the forecast for this day, or nil
        Asked = Value.define(:thickness, :alternatives, :new_mm, :plate_mm, :before, :expected)

        # thresholds: { coverage:, least_mm:, near_mm: }
        def initialize(coverage:, least_mm:, near_mm:, **)
          @coverage = coverage
          @least_mm = least_mm
          @near_mm = near_mm
        end

        # Asked -> Question or nil: the one that explains most comes first.
        def call(asked)
          flags = [thicker_than_new(asked), thicker_than_before(asked), far_below(asked), far_above(asked)].compact
          return tiny(asked) if flags.empty?

          with_plate(asked) || other_unit(asked) || flags.first
        end

        private

        def question(code, asked, **tokens)
          Question.new(code:, tokens: { read_mm: asked.thickness.value_mm, **tokens })
        end

        def thicker_than_new(asked)
          return unless asked.new_mm && least(asked.thickness) > asked.new_mm * 1.005
          question("thicker_than_new", asked, new_mm: asked.new_mm)
        end

        def thicker_than_before(asked)
          return unless (before = asked.before)

          error = @coverage * Math.hypot(asked.thickness.standard_uncertainty_mm, before.standard_uncertainty_mm)
          return unless asked.thickness.value_mm - before.value_mm > error
          question("thicker_than_before", asked, before_mm: before.value_mm)
        end

        def far_below(asked)
          return unless asked.expected && misfit(asked, asked.thickness.value_mm) < -1
          question("far_below", asked, expected_mm: asked.expected[:mean_mm])
        end

        def far_above(asked)
          return unless asked.expected && misfit(asked, asked.thickness.value_mm) > 1
          question("far_above", asked, expected_mm: asked.expected[:mean_mm])
        end

        # Deviation from the expected value, as a multiple of the allowed deviation.
        def misfit(asked, value_mm)
          error = @coverage * Math.hypot(asked.thickness.standard_uncertainty_mm, asked.expected.fetch(:sd_mm))
          (value_mm - asked.expected.fetch(:mean_mm)) / [error, @least_mm].max
        end

        def other_unit(asked)
          unit, mm = asked.alternatives.find { |_, value_mm| plausible?(asked, value_mm) }
          unit && question("other_unit", asked, unit:, other_mm: mm)
        end

        # Under a millimetre without any expectation: bare metal is possible, another unit likelier where it fits well.
        def tiny(asked)
          other_unit(asked) if asked.expected.nil? && tiny?(asked)
        end

        def tiny?(asked) = asked.new_mm && asked.thickness.value_mm.between?(1e-9, [1.0, asked.new_mm / 8].min)

        def plausible?(asked, value_mm)
          return tiny?(asked) && value_mm.between?(asked.new_mm * 0.2, asked.new_mm * 1.01) unless asked.expected

          (value_mm - asked.expected.fetch(:mean_mm)).abs <= [@near_mm, @coverage * asked.expected.fetch(:sd_mm)].max &&
            !thicker?(asked, value_mm)
        end

        def thicker?(asked, value_mm) = asked.new_mm && value_mm > asked.new_mm * 1.01

        def with_plate(asked)
          return unless asked.plate_mm

          without = asked.thickness.value_mm - asked.plate_mm
          fits =
            (
              if asked.expected
                misfit(asked, without).abs <= 1
              else
                thicker?(asked, asked.thickness.value_mm) && without.between?(0, asked.new_mm)
              end
            )
          question("with_plate", asked, without_plate_mm: without) if fits && asked.thickness.value_mm > asked.plate_mm
        end

        def least(thickness)
          thickness.interval? ? thickness.lower_mm : thickness.value_mm - (2 * thickness.standard_uncertainty_mm)
        end
      end
    end
  end
end
