# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The numbers a section is drawn from, per corner of an axle.
      class Corners
        # The rim a lining sits on, as it is drawn.
        SHOE_RIM_MM = 2.5

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # now: { "left_inner" => { mean_mm:, sd_mm: }, ... , "left" => ... }; positions without an entry are drawn as
        # unknown.
        def call(file, now)
          file.axle.sides.map do |side|
            {
              side:,
              pads: file.pads.map { |pad| pad(file, pad, now["#{side}_#{pad}"]) },
              rotor: file.drum? ? nil : rotor(file, now[side]),
              drum: file.drum? ? drum(file, now[side]) : nil
            }
          end
        end

        # The thicknesses an axle's forecast expects today.
        def believed(overview)
          pads = overview.answer.pads&.now || {}
          rotors =
            overview
              .rotors
              .verdicts
              .filter_map do |side, verdict|
                [side, { mean_mm: verdict.reading_mm, sd_mm: verdict.error_mm / 2.0 }] if verdict.reading_mm
              end
              .to_h
          call(overview.file, pads.merge(rotors))
        end

        private

        def pad(file, pad, now)
          {
            pad:,
            label: file.wording.own(pad),
            **read(now),
            limit_mm: file.limit_mm.round(3),
            new_mm: file.new_pad_mm.round(3),
            backing_mm: backing_mm(file).round(3)
          }
        end

        # Behind the friction: a pad's plate, or the rim of a shoe.
        def backing_mm(file)
          return SHOE_RIM_MM if file.drum?

          file.length_mm("pad.backing_plate") || @knowledge.measurement.dig("backing_plate", "typical_mm")
        end

        def rotor(file, now)
          {
            **read(now),
            new_mm: file.length_mm("rotor.new_thickness")&.round(3),
            discard_mm: file.discard_mm&.round(3)
          }
        end

        # Diameters.
        def drum(file, now)
          {
            **read(now),
            new_mm: file.length_mm("drum.new_diameter")&.round(3),
            maximum_mm: file.drum_maximum_mm&.round(3)
          }
        end

        def read(now) = { now_mm: now && now[:mean_mm].round(3), sd_mm: now && now[:sd_mm].round(3) }
      end
    end
  end
end
