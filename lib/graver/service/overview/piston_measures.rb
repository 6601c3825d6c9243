# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # How far the pistons of an axle have come out. Only where pads and rotor have been read: a guess would frighten,
      # or lull.
      class PistonMeasures
        # file: AxleRecord; answer: Core::Schedule::AxleForecast::Answer
        def initialize(file, answer)
          @file = file
          @answer = answer
        end

        # -> { "extension_mm" => 14.2, ... }, empty if unknown
        def call
          extension = extension() or return {}
          {
            "extension_mm" => extension.now_mm,
            "extension_most_mm" => extension.most_mm,
            "extension_share" => extension.share,
            "extension_pads_mm" => extension.pads_mm,
            "pads_gone_mm" => pads_gone.max,
            "rotor_gone_mm" => rotor_gone
          }
        end

        private

        def extension
          new_mm = @file.length_mm("pad.new_thickness")
          return unless new_mm && @answer.pads&.readings&.positive? && rotor_gone

          allowed = new_mm - [@file.least_pad_mm || @file.floor.mm, 0].max
          Core::Judgement::PistonExtension.of(
            pads_gone_mm: pads_gone.max,
            rotor_gone_mm: rotor_gone,
            opposed: @file.opposed?,
            pads_allowed_mm: 2 * allowed,
            rotor_allowed_mm: @file.length_mm("rotor.new_thickness") - @file.discard_mm
          )
        end

        def pads_gone
          new_mm = @file.length_mm("pad.new_thickness")
          @file.axle.sides.map do |side|
            @file.pads.sum { |pad| [new_mm - @answer.pads.now["#{side}_#{pad}"][:mean_mm], 0].max }
          end
        end

        def rotor_gone
          new_mm = @file.length_mm("rotor.new_thickness")
          return unless new_mm && @file.discard_mm && @answer.rotors&.readings&.positive?

          [new_mm - @answer.rotors.now.values.map { |now| now[:mean_mm] }.min, 0].max
        end
      end
    end
  end
end
