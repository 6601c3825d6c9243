# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Questions a drum's diameter that can hardly be true: a drum only wears wider, so one that measures smaller than
      # new, or than last time, was read on its lip or misread.
      class DrumQuestions
        # thresholds: { coverage:, near_mm: }
        def initialize(coverage:, near_mm:, **)
          @coverage = coverage
          @near_mm = near_mm
        end

        # ReadingQuestions::Asked, its thickness the widest place, new_mm and before of the diameter -> Question or nil
        def call(asked)
          read = asked.thickness
          flag = smaller(read, asked.new_mm, "smaller_than_new", :new_mm) || smaller_than_before(read, asked.before)
          flag ||= far_over(read, asked.new_mm)
          flag && (other_unit(asked) || flag)
        end

        private

        def question(code, read, **tokens)
          ReadingQuestions::Question.new(code:, tokens: { read_mm: read.value_mm, **tokens })
        end

        def smaller(read, than_mm, code, token, error = @coverage * read.standard_uncertainty_mm)
          question(code, read, token => than_mm) if than_mm && read.value_mm < than_mm - error
        end

        def smaller_than_before(read, before)
          return unless before

          error = @coverage * Math.hypot(read.standard_uncertainty_mm, before.standard_uncertainty_mm)
          smaller(read, before.value_mm, "smaller_than_before", :before_mm, error)
        end

        # No drum is worn by a twentieth of its diameter.
        def far_over(read, new_mm)
          question("far_over_new", read, new_mm:) if new_mm && read.value_mm > new_mm * 1.05
        end

        def other_unit(asked)
          likely = asked.before&.value_mm || asked.new_mm
          unit, mm = asked.alternatives.find { |_, value_mm| (value_mm - likely).abs <= [@near_mm, likely / 50].max }
          unit && question("other_unit", asked.thickness, unit:, other_mm: mm)
        end
      end
    end
  end
end
