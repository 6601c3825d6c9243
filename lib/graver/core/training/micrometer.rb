# frozen_string_literal: true

module Graver
  module Core
    module Training
      # An outside micrometer: the thimble's lines divide one turn, and the sleeve has a line for each turn. Metric: a
      # pitch of 0.5 mm and 50 lines, so 0.01 mm a line. In inches: 40 threads to the inch and 25 lines, so 0.001 in a
      # line. Common practice, no source.
      class Micrometer < Drill
        # wholes: numbered lines of the sleeve to choose from; turns: from one to the next; lines: of the thimble;
        # line: what one is worth; messages: where its texts begin
        Scale = Value.define(:unit, :wholes, :turns, :lines, :line, :messages)
        SCALES = {
          "mm" =>
            Scale.new(unit: "mm", wholes: (18..27), turns: 2, lines: 50, line: 1 / 100r, messages: "drills.micrometer"),
          "in" =>
            Scale.new(
              unit: "in",
              wholes: (7..10),
              turns: 4,
              lines: 25,
              line: 1 / 1000r,
              messages: "drills.inch_micrometer"
            )
        }.freeze

        # -> Question
        def question
          asking(
            say(@scale.messages),
            "number",
            unit: @scale.unit,
            picture: {
              kind: "micrometer",
              unit: @scale.unit,
              sleeve: (sleeve_lines * @scale.line).to_f,
              turn: (@scale.lines * @scale.line).to_f,
              thimble: @line,
              lines: @scale.lines
            }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          off = (number(answer) / @scale.line).round - lines
          marking(off.zero?, length(lines), because, slip(off))
        end

        private

        def set_up
          @scale = SCALES.fetch(@rules.fetch(:rotor_unit))
          @whole, @turn, @line = @draw.from(@scale.wholes), @draw.below(@scale.turns), @draw.below(@scale.lines)
        end

        def whole_lines = @scale.turns * @scale.lines
        def sleeve_lines = (@whole * whole_lines) + (@turn * @scale.lines)
        def lines = sleeve_lines + @line
        def length(count) = (count * @scale.line).then { |value| format("#{decimals} #{@scale.unit}", value) }
        def decimals = @scale.unit == "mm" ? "%.2f" : "%.3f"

        def because
          say(
            "drills.micrometer_because",
            sleeve: say("#{@scale.messages}_#{@turn.zero? ? "whole" : "turn"}", whole: @whole, turns: @turn),
            line: @line,
            thimble: length(@line),
            together: length(lines)
          )
        end

        # A turn missed or seen too early, the wrong numbered line, or a line of the thimble.
        def slip(off)
          return say("#{@scale.messages}_missed") if off == -@scale.lines && @turn.positive?
          return say("#{@scale.messages}_early") if off == @scale.lines && @turn < @scale.turns - 1
          return say("#{@scale.messages}_whole_off") if (off % whole_lines).zero?

          off.abs <= 2 ? say("drills.line_off") : nil
        end
      end
    end
  end
end
