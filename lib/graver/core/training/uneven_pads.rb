# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Four pads of an axle with floating calipers: which of them wear wrongly, if any.
      class UnevenPads < Drill
        # what differs, in mm: [left inner, left outer, right inner, right outer]
        PATTERNS = {
          "left_pins" => [-2.2, 0.4, 0, 0],
          "right_pins" => [0, 0, -2.4, 0.3],
          "left_corner" => [-1.8, -1.7, 0, 0],
          "right_corner" => [0, 0, -1.7, -1.9],
          "nothing" => [-0.1, 0.1, 0, -0.1]
        }.freeze
        BASE = (60..85)
        PLACES = %w[left right].product(%w[inner outer]).freeze

        # -> Question
        def question
          asking(
            say("drills.uneven", error: @rules.fetch(:error_mm)),
            "choice",
            choices:,
            picture: {
              kind: "pads",
              pads: pads
            }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          given = chosen(answer, choices)
          marking(given[:id] == found, say("drills.uneven_#{found}"), because, nil)
        end

        private

        def set_up
          @pattern = @draw.pick(PATTERNS.keys)
          base = @draw.from(BASE) / 10.0
          @mm = PATTERNS[@pattern].map { |apart| (base + apart + ((@draw.below(3) - 1) * 0.1)).round(1) }
        end

        def choices = PATTERNS.keys.map { |id| { id:, label: say("drills.uneven_#{id}") } }
        def pads = PLACES.zip(@mm).map { |(side, pad), mm| { side:, pad:, mm: } }

        # By the rules for real readings.
        def uneven
          thickness = ->(mm) { Measurement::Thickness.point(mm, @rules.fetch(:error_mm)) }
          read = PLACES.zip(@mm).group_by { |(side, _), _| side }
          by_side = read.transform_values { |rows| rows.to_h { |(_, pad), mm| [pad, thickness.call(mm)] } }
          Judgement::Unevenness.call(by_side, coverage: @rules.fetch(:coverage))
        end

        def found
          %w[left right].each do |side|
            told = uneven.fetch(side)
            return "#{side}_pins" if told["inner_thinner_mm"]
            return "#{side}_corner" if told["corner_thinner_mm"]
          end
          "nothing"
        end

        def because = say("drills.uneven_because_#{found.delete_prefix("left_").delete_prefix("right_")}")
      end
    end
  end
end
