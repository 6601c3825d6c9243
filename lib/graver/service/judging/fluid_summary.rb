# frozen_string_literal: true

module Graver
  module Service
    module Judging
      # What there is to know of a vehicle's fluid before anything is pushed home: grade, what mixes, and room in the
      # reservoir.
      class FluidSummary
        # may, never: labels of grades; axles: [[name, pushed back ml, to draw off ml]], nil where not known
        Summary = Core::Value.define(:grade, :dry_celsius, :wet_celsius, :may, :never, :sentence, :headroom_ml, :axles)

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # VehicleOverviews::Overview -> Summary, or nil of a trailer, which has none
        def call(overview)
          file = overview.axles.first.file
          return unless file.hydraulic?

          grade = file.choice("fluid.grade")
          points, mixing = @knowledge.findings.fetch("boiling")[grade], @knowledge.findings.fetch("mixing")[grade]
          headroom = headroom_ml(overview, overview.axles.first)
          Summary.new(
            grade: grade && label(grade),
            dry_celsius: points&.fetch("dry"),
            wet_celsius: points&.fetch("wet"),
            may: (mixing&.fetch("may") || []).map { |id| label(id) },
            never: (mixing&.fetch("never") || []).map { |id| label(id) },
            headroom_ml: headroom,
            sentence: sentence(overview, file, headroom),
            axles: overview.axles.map { |axle| pushed(axle, headroom_ml(overview, axle)) }
          )
        end

        # All pistons of an axle home, for pads of the new thickness (and rotors, if they are renewed too): ml, or nil
        # where something is not known.
        def pushed_ml(axle, new_rotors: false)
          file = axle.file
          return if file.drum?

          diameter, pistons, new_mm =
            file.length_mm("caliper.piston_diameter"),
            file.count("caliper.piston_count"),
            file.length_mm("pad.new_thickness")
          return unless diameter && pistons && new_mm && axle.answer.pads

          gains =
            file.axle.sides.map do |side|
              inner, outer = file.pads.map { |pad| [new_mm - axle.answer.pads.now["#{side}_#{pad}"][:mean_mm], 0].max }
              [inner + (new_rotors ? rotor_gain_mm(axle, side) : 0), outer]
            end
          Core::Planning::DisplacedFluid.call(gains:, piston_diameter_mm: diameter, pistons:, opposed: file.opposed?)
        end

        # ml above the level that was last seen in the reservoir of these axles, or nil.
        def room_ml(overview, axles) = headroom_ml(overview, axles.first || overview.axles.first)

        private

        # A thicker rotor pushes the pistons back too; on a fixed caliper both sides share it.
        def rotor_gain_mm(axle, side)
          new_mm, now_mm = axle.file.length_mm("rotor.new_thickness"), axle.rotors.verdicts.fetch(side).reading_mm
          new_mm && now_mm ? [new_mm - now_mm, 0].max : 0
        end

        def label(grade) = @knowledge.brake_data.label("fluid.grade", grade)

        def level(overview, axle)
          apart = Overview::FluidLevels.reservoirs(overview.vehicle).include?(axle.file.axle.name)
          Overview::FluidLevels.new(overview.inspections, apart ? axle.file.axle.name : nil).newest&.after
        end

        # At MAX there is no room, however large the reservoir is.
        def headroom_ml(overview, axle)
          volume, level = axle.file.volume_ml("fluid.reservoir_volume"), level(overview, axle)
          above = level && (1 - level)
          return 0.0 if above && above <= 0

          volume && above && (above * volume)
        end

        def sentence(overview, file, headroom)
          return Message.of("findings.headroom", ml: headroom.round) if headroom

          missing = []
          missing << Message.of("findings.reservoir_volume") unless file.volume_ml("fluid.reservoir_volume")
          missing << Message.of("findings.fluid_level") unless level(overview, overview.axles.first)
          Message.of("findings.overflow_unknown", missing:, count: missing.length)
        end

        def pushed(axle, headroom)
          ml = pushed_ml(axle)
          [
            axle.file.axle.name,
            ml,
            Core::Planning::DrawOff.call(ml, headroom, @knowledge.fluid.dig("headroom_share", "value"))
          ]
        end
      end
    end
  end
end
