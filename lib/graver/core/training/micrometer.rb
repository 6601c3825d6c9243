# frozen_string_literal: true

module Graver
  module Core
    module Training
      # A metric micrometer: a spindle of 0.5 mm pitch, a thimble of 50 lines, so 0.01 mm a line; the sleeve
      # has a line every half millimetre. Common practice, no source.
      class Micrometer < Drill
        WHOLE = (18..27)
        LINES = 50

        # -> Question
        def question
          asking(
            say("drills.micrometer"),
            "number",
            unit: "mm",
            picture: {
              kind: "micrometer",
              sleeve_mm: sleeve,
              thimble: @line
            }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          off = (number(answer) * 100).round - hundredths
          marking(off.zero?, in_mm(hundredths), because, slip(off))
        end

        private

        def set_up
          @whole, @half, @line = @draw.from(WHOLE), @draw.below(2), @draw.below(LINES)
        end

        def sleeve = @whole + (@half * 0.5)
        def hundredths = (@whole * 100) + (@half * 50) + @line
        def in_mm(count) = format("%.2f mm", count / 100.0)

        def because
          seen = say(@half.zero? ? "drills.sleeve_whole" : "drills.sleeve_half", mm: @whole)
          say(
            "drills.micrometer_because",
            sleeve: seen,
            line: @line,
            thimble: in_mm(@line),
            together: in_mm(hundredths)
          )
        end

        def slip(off)
          return say("drills.half_missed") if off == -50 && @half == 1
          return say("drills.half_too_many") if off == 50 && @half.zero?
          return say("drills.turn_off") if (off % 100).zero?

          off.abs <= 2 ? say("drills.line_off") : nil
        end
      end
    end
  end
end
