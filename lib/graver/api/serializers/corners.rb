# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # The numbers a section is drawn from, per corner of an axle.
      class Corners
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # now: { "left_inner" => { mean_mm:, sd_mm: }, ... , "left" => ... }; positions without an entry are drawn as
        # unknown.
        def call(file, now)
          file.axle.sides.map do |side|
            {
              side:,
              inner: pad(file, now["#{side}_inner"]),
              outer: pad(file, now["#{side}_outer"]),
              rotor: rotor(file, now[side])
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

        def pad(file, now)
          {
            now_mm: now && now[:mean_mm].round(3),
            sd_mm: now && now[:sd_mm].round(3),
            limit_mm: file.limit_mm.round(3),
            new_mm: file.new_pad_mm.round(3),
            backing_mm: (file.length_mm("pad.backing_plate") || typical("backing_plate")).round(3)
          }
        end

        def rotor(file, now)
          {
            now_mm: now && now[:mean_mm].round(3),
            sd_mm: now && now[:sd_mm].round(3),
            new_mm: file.length_mm("rotor.new_thickness")&.round(3),
            discard_mm: file.discard_mm&.round(3)
          }
        end

        def typical(*path) = @knowledge.measurement.dig(*path, "typical_mm")
      end
    end
  end
end
