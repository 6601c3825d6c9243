# frozen_string_literal: true

module Graver
  module Core
    module Training
      # A vernier: its lines take up one line less of the rule, so the line that meets one of the rule counts the parts
      # (by the vernier's definition). Metric: 20 lines on 19 mm, 0.05 mm each. In inches: 25 lines on 24 of 0.025 in,
      # 0.001 in each.
      class Vernier < Drill
        # rule: from one line of the rule to the next; lines: of the slide; wholes: lines of the rule to choose from;
        # messages: where its texts begin; decimals: how its lengths are written
        Scale = Value.define(:unit, :rule, :lines, :wholes, :messages, :decimals)
        SCALES = {
          "mm" =>
            Scale.new(unit: "mm", rule: 1r, lines: 20, wholes: (6..24), messages: "drills.vernier", decimals: "%.2f"),
          "in" =>
            Scale.new(
              unit: "in",
              rule: 1 / 40r,
              lines: 25,
              wholes: (10..40),
              messages: "drills.inch_vernier",
              decimals: "%.3f"
            )
        }.freeze

        # -> Question
        def question
          asking(
            say(@scale.messages),
            "number",
            unit: @scale.unit,
            picture: {
              kind: "vernier",
              unit: @scale.unit,
              value: value.to_f,
              turn: @scale.rule.to_f,
              lines: @scale.lines
            }
          )
        end

        # One line off is how well eyes read.
        def mark(answer)
          off = number(answer).to_r - value
          marking(off.abs <= part, length(value), because, slip(off))
        end

        private

        def set_up
          @scale = SCALES.fetch(@rules.fetch(:rotor_unit))
          @whole, @line = @draw.from(@scale.wholes), @draw.below(@scale.lines)
        end

        def part = @scale.rule / @scale.lines
        def value = (@whole * @scale.rule) + (@line * part)
        def length(value) = format("#{@scale.decimals} #{@scale.unit}", value)

        def because
          say(
            "#{@scale.messages}_because",
            whole: length(@whole * @scale.rule),
            line: @line,
            part: length(@line * part)
          )
        end

        def slip(off) = off.nonzero? && (off % @scale.rule).zero? ? say("#{@scale.messages}_wrong_line") : nil
      end
    end
  end
end
