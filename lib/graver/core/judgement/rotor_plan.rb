# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Judgement
      # What becomes of an axle's rotors with the next pads: both alike, the graver side decides.
      #
      # outcome: "replace", "turn", "face_bad" (turn or replace: measure first), "measure_again", "unknown_limit", "unmeasured",
      # "will_not_outlast", "new_by_school" or "stay"; because: "thickness", "cracked", "faces" or "school"
      # cut_left_mm: what the thinner rotor would have above its least after the cut, nil where that cannot be said
      RotorPlan = Value.define(:outcome, :because, :cut_left_mm) do
        # verdicts: [RotorVerdict] of the sides; faces: gravest word of what was seen and felt of them (nil, "watch", "plan", "stop");
        # school: "reuse", "new" or "turn"; least_mm: machine-to thickness, else discard, or nil; wear_mm: predicted over the next
        # pads or nil; cut_mm: what a cut takes off; order: outcomes from the gravest.
        def self.call(verdicts:, faces:, school:, least_mm:, wear_mm:, cut_mm:, order:)
          thickness = verdicts.map(&:outcome).min_by { |outcome| order.index(outcome) }
          left = cut_left(verdicts, least_mm, wear_mm, cut_mm)
          outcome, because = by_condition(thickness, faces, left) || by_school(thickness, school, left)
          new(outcome:, because:, cut_left_mm: left)
        end

        # What thickness or faces leave no choice about.
        def self.by_condition(thickness, faces, left)
          return %w[replace thickness] if thickness == "replace"
          return %w[replace cracked] if faces == "stop"
          return unless faces == "plan"
          return %w[face_bad faces] unless left

          [left >= 0 ? "turn" : "replace", "faces"]
        end

        def self.by_school(thickness, school, left)
          return [thickness, "thickness"] unless thickness == "stay"
          return %w[new_by_school school] if school == "new"

          school == "turn" && left && left >= 0 ? %w[turn school] : %w[stay thickness]
        end

        # The thinnest, less the error of its reading, the cut and the wear to come.
        def self.cut_left(verdicts, least_mm, wear_mm, cut_mm)
          known = verdicts.select(&:reading_mm)
          return unless least_mm && known.length == verdicts.length && known.any?

          known.map { |verdict| verdict.reading_mm - verdict.error_mm }.min - cut_mm - (wear_mm || 0) - least_mm
        end
        private_class_method :by_condition, :by_school, :cut_left
      end
    end
  end
end
