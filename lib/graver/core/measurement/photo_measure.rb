# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # A length measured in a photo, against one of known length next to it. The photo is a central projection: what is
      # nearer is larger, what is seen at a slant is shorter.
      class PhotoMeasure
        # known_mm, known_sd_mm: what is known, with its standard uncertainty; known, wanted: [[x, y], [x, y]], where
        # its ends and the edges of the part were marked, in px of the photo; away_mm: how much nearer to the camera or
        # further from it the known length may be than the part; frame: [width, height] of the photo, px; mark_sd_px:
        # standard uncertainty of a mark
        Marks = Value.define(:known_mm, :known_sd_mm, :known, :wanted, :away_mm, :frame, :mark_sd_px)
        # value_mm, standard_uncertainty_mm; low_mm, high_mm: it is between these, a rectangle of that standard
        # uncertainty (JCGM 100:2008, 4.3.7); shares: { source of error => its share of the variance }
        Result = Value.define(:value_mm, :standard_uncertainty_mm, :low_mm, :high_mm, :shares)

        # rules: `photo` of knowledge/measurement.yml
        def initialize(rules)
          @shortest_px, @slant, @focal = rules.values_at("shortest_px", "slant_degrees", "focal_share")
        end

        # Marks -> Result. Raises InvalidEntry naming "ends" or "edges".
        def call(marks)
          known_px, wanted_px = length(marks, :known), length(marks, :wanted)
          value = marks.known_mm * wanted_px / known_px
          relative = errors(marks, known_px, wanted_px)
          # Independent factors of a product: their relative uncertainties (5.1.6).
          sd = value * TypeB.combined(*relative.values)
          half = sd * TypeB::ROOT_THREE
          total = relative.values.sum { |each| each**2 }
          Result.new(
            value_mm: value,
            standard_uncertainty_mm: sd,
            low_mm: [value - half, 0.0].max,
            high_mm: value + half,
            shares: relative.transform_values { |each| (each**2) / total }
          )
        end

        private

        def length(marks, which)
          one, two = marks.to_h.fetch(which)
          px = Math.hypot(one[0] - two[0], one[1] - two[1])
          return px if px >= @shortest_px

          raise InvalidEntry.of(
                  { known: "ends", wanted: "edges" }.fetch(which),
                  "out_of_range",
                  Message.of("faults.marks_close", least: @shortest_px)
                )
        end

        def errors(marks, known_px, wanted_px)
          two_marks = marks.mark_sd_px * Math.sqrt(2)
          {
            known: marks.known_sd_mm / marks.known_mm,
            scale: two_marks / known_px,
            edges: two_marks / wanted_px,
            depth: TypeB.rectangular(marks.away_mm / distance_mm(marks, known_px)),
            slant: TypeB.rectangular((1 - Math.cos(@slant * Math::PI / 180)) * turned(marks))
          }
        end

        # From the camera, by how large the known length is on the photo.
        def distance_mm(marks, known_px) = @focal * Math.hypot(*marks.frame) * marks.known_mm / known_px

        # How far the two lines are from parallel: 0 if they are (a slant shortens both alike), 1 if they are square.
        def turned(marks)
          one, two = [marks.known, marks.wanted].map { |(a, b)| Math.atan2(b[1] - a[1], b[0] - a[0]) }
          Math.sin(one - two)**2
        end
      end
    end
  end
end
