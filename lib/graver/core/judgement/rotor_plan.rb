# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # What becomes of an axle's rotors: both alike, the graver side decides.
      #
      # outcome: "replace", "turn", "face_bad" (turn or replace: measure first), "measure_again", "unknown_limit",
      # "unmeasured", "will_not_outlast", "new_by_approach" or "stay"; because: "thickness", "condition" (of the faces,
      # or felt) or "approach" cut_left_mm: what the thinner rotor would have above its least after the cut, nil where
      # that cannot be said
      RotorPlan =
        Value.define(:outcome, :because, :cut_left_mm) do
          # verdicts: [RotorVerdict] of the sides; leaves: what their condition leaves at most: "replace", "cut" (turn
          # or replace), "measure" or nil; approach: "reuse", "new" or "turn", nil while no new pads are due;
          # machine_to_mm, discard_mm: or nil; wear_mm: predicted over the next pads or nil; cut_mm: what a cut takes
          # off; order: outcomes from the gravest.
          def self.call(verdicts:, leaves:, approach:, machine_to_mm:, discard_mm:, wear_mm:, cut_mm:, order:)
            thickness = verdicts.map(&:outcome).min_by { |outcome| order.index(outcome) }
            left = cut_left(verdicts, machine_to_mm, discard_mm, wear_mm, cut_mm)
            outcome, because = by_condition(thickness, leaves, left) || by_approach(thickness, approach, left)
            new(outcome:, because:, cut_left_mm: left)
          end

          # The outcome that thickness or condition alone decide.
          def self.by_condition(thickness, leaves, left)
            return %w[replace thickness] if thickness == "replace"

            case leaves
            when "replace"
              %w[replace condition]
            when "cut"
              [turnable(left), "condition"]
            when "measure"
              %w[stay will_not_outlast].include?(thickness) ? %w[measure_again condition] : nil
            end
          end

          def self.turnable(left)
            return "face_bad" unless left

            left >= 0 ? "turn" : "replace"
          end

          def self.by_approach(thickness, approach, left)
            return thickness, "thickness" unless thickness == "stay"
            return %w[new_by_approach approach] if approach == "new"

            approach == "turn" && left && left >= 0 ? %w[turn approach] : %w[stay thickness]
          end

          # The thinnest, less the error of its reading and the cut. A machine-to thickness has the wear of the next
          # pads in it already; above the discard thickness alone that wear has to be left too.
          def self.cut_left(verdicts, machine_to_mm, discard_mm, wear_mm, cut_mm)
            known = verdicts.select(&:reading_mm)
            least = machine_to_mm || (discard_mm && wear_mm && (discard_mm + wear_mm))
            return unless least && known.length == verdicts.length && known.any?

            known.map(&:safe_mm).min - cut_mm - least
          end
          private_class_method :by_condition, :turnable, :by_approach, :cut_left
        end
    end
  end
end
