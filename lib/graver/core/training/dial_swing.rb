# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Lateral runout from a dial gauge: the whole swing of the needle over one turn (total indicator reading). A
      # division is 0.01 mm, or 0.0005 in on a gauge in inches (common practice, no source).
      class DialSwing < Drill
        LOW = (20..70)
        Scale = Value.define(:unit, :division, :divisions, :swing, :numbered, :decimals, :message)
        SCALES = {
          "mm" =>
            Scale.new(
              unit: "mm",
              division: 1 / 100r,
              divisions: 100,
              swing: (2..14),
              numbered: 1,
              decimals: "%.2f",
              message: "drills.dial"
            ),
          "in" =>
            Scale.new(
              unit: "in",
              division: 5 / 10_000r,
              divisions: 100,
              swing: (2..12),
              numbered: 0.5,
              decimals: "%.4f",
              message: "drills.inch_dial"
            )
        }.freeze

        # -> Question
        def question
          asking(
            say(@scale.message),
            "number",
            unit: @scale.unit,
            picture: {
              kind: "dial",
              low: @low,
              high: @low + @swing,
              divisions: @scale.divisions,
              numbered: @scale.numbered
            }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          given = (number(answer) / @scale.division).round
          marking(given == @swing, length(@swing), because, slip(given))
        end

        private

        def set_up
          @scale = SCALES.fetch(@rules.fetch(:rotor_unit))
          @low, @swing = @draw.from(LOW), @draw.from(@scale.swing)
        end

        def length(count) = format("#{@scale.decimals} #{@scale.unit}", count * @scale.division)
        def shown(count) = (count * @scale.numbered).then { |each| each == each.round ? each.round : each }
        def because = say("drills.dial_because", low: shown(@low), high: shown(@low + @swing), swing: length(@swing))
        def slip(given) = given * 2 == @swing ? say("drills.dial_halved") : nil
      end
    end
  end
end
