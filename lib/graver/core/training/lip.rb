# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Where to measure a worn rotor: inside the lip, not on it, nor where no pad runs.
      class Lip < Drill
        # new thickness and discard thickness, mm; places: from the edge, mm
        ROTORS = [[22.0, 20.0], [25.0, 23.0], [28.0, 26.0]].freeze
        WORN_MM = (20..26)
        PLACES = { "edge" => 2, "inside" => 12, "groove" => 26, "hat" => 52 }.freeze

        # -> Question
        def question
          asking(
            say("drills.lip", discard: @discard),
            "choice",
            choices:,
            picture: {
              kind: "lip",
              **profile,
              places: places
            }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          given = chosen(answer, choices)
          right = letter("inside")
          because = say("drills.lip_because", lip: @new, inside: inside, discard: @discard, verdict: verdict(inside))
          marking(given[:id] == right, right.upcase, because, slip(given[:id]))
        end

        private

        def set_up
          @new, @discard = @draw.pick(ROTORS)
          @worn = @draw.from(WORN_MM) / 10.0
          @letters = @draw.mixed(PLACES.keys)
        end

        def inside = @new - @worn
        def profile = { new_mm: @new, face_mm: inside, groove_mm: 0.4, discard_mm: @discard }
        def letter(place) = ("a".."d").to_a[@letters.index(place)]
        def places = @letters.map { |place| { id: letter(place), from_edge_mm: PLACES[place] } }
        def choices = ("a".."d").map { |id| { id:, label: id.upcase } }

        def verdict(thickness_mm)
          outcome =
            Judgement::RotorVerdict.call(
              thickness: {
                mean_mm: thickness_mm,
                sd_mm: 0.01
              },
              discard_mm: @discard,
              life: nil,
              next_pads_km: nil,
              rules: @rules
            ).outcome
          say("drills.lip_#{outcome}")
        end

        def slip(id)
          place = PLACES.keys.find { |each| letter(each) == id }
          place == "inside" ? nil : say("drills.lip_at_#{place}")
        end
      end
    end
  end
end
