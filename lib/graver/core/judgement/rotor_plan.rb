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
          return new(outcome: "replace", because: thickness == "replace" ? "thickness" : "cracked", cut_left_mm: left) if thickness == "replace" || faces == "stop"
          return for_faces(left) if faces == "plan"
          return new(outcome: "turn", because: "school", cut_left_mm: left) if school == "turn" && thickness == "stay" && left && left >= 0

          new(outcome: school == "new" && thickness == "stay" ? "new_by_school" : thickness, because: "thickness", cut_left_mm: left)
        end

        def self.for_faces(left)
          outcome = if left.nil? then "face_bad"
                    else
                      left >= 0 ? "turn" : "replace"
                    end
          new(outcome:, because: "faces", cut_left_mm: left)
        end

        # The thinnest, less the error of its reading, the cut and the wear to come.
        def self.cut_left(verdicts, least_mm, wear_mm, cut_mm)
          known = verdicts.select(&:reading_mm)
          return unless least_mm && known.length == verdicts.length && known.any?

          known.map { |verdict| verdict.reading_mm - verdict.error_mm }.min - cut_mm - (wear_mm || 0) - least_mm
        end
        private_class_method :for_faces, :cut_left
      end
    end
  end
end
