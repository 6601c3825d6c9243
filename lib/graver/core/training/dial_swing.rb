# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Lateral runout from a dial gauge: the whole swing of the needle over one turn (total indicator reading).
      class DialSwing < Drill
        SWING = (2..14)
        LOW = (20..70)
        DIVISION_MM = 0.01

        # -> Question
        def question
          asking(
            say("drills.dial"),
            "number",
            unit: "mm",
            picture: {
              kind: "dial",
              low: @low,
              high: @low + @swing,
              divisions: 100
            }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          given = (number(answer) / DIVISION_MM.rationalize).round
          marking(given == @swing, in_mm(@swing), because, slip(given))
        end

        private

        def set_up
          @low, @swing = @draw.from(LOW), @draw.from(SWING)
        end

        def in_mm(count) = format("%.2f mm", count * DIVISION_MM)
        def because = say("drills.dial_because", low: @low, high: @low + @swing, swing: in_mm(@swing))
        def slip(given) = given * 2 == @swing ? say("drills.dial_halved") : nil
      end
    end
  end
end
