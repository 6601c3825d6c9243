# frozen_string_literal: true

module Graver
  module Core
    module Training
      # A vernier of 20 lines that take up 19 mm: each is 0.05 mm short of a millimetre, so the line that meets one of
      # the main scale counts the twentieths (by the vernier's definition).
      class Vernier < Drill
        WHOLE = (6..24)
        LINES = 20
        STEP_MM = 1.0 / LINES

        # -> Question
        def question
          asking(
            say("drills.vernier"),
            "number",
            unit: "mm",
            picture: {
              kind: "vernier",
              value_mm: value,
              lines: LINES
            }
          )
        end

        # One line off is how well eyes read.
        def mark(answer)
          off = number(answer).to_f - value
          marking(off.abs <= STEP_MM + 1e-9, format("%.2f mm", value), because, slip(off))
        end

        private

        def set_up
          @whole, @line = @draw.from(WHOLE), @draw.below(LINES)
        end

        def value = (@whole + (@line * STEP_MM)).round(2)

        def because
          say("drills.vernier_because", whole: @whole, line: @line, part: format("%.2f mm", @line * STEP_MM))
        end

        def slip(off) = (off - off.round).abs < 1e-9 ? say("drills.wrong_main_line") : nil
      end
    end
  end
end
