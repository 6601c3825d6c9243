# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # The verdict on each drum of an axle by its inside diameter alone. A drum wears wider: turned round (minus the
      # diameter, against minus the maximum) it is judged like a rotor. A drum lasts several sets of shoes, so no
      # forecast is made of it.
      class DrumDiameters
        LENGTHS = %i[reading_mm now_mm discard_mm].freeze

        # file: AxleRecord
        def initialize(knowledge, file, _answer)
          @knowledge = knowledge
          @file = file
        end

        # knowledge/rules/drum.yml
        def rules = @knowledge.drum_rules

        # Turned round, whatever goes on -> { side => Core::Judgement::RotorVerdict }
        def verdicts(**)
          coverage = rules.dig("coverage", "value")
          @file.axle.sides.to_h do |side|
            verdict =
              Core::Judgement::RotorVerdict.call(
                thickness: read(side),
                discard_mm: turned(@file.drum_maximum_mm),
                life: nil,
                next_pads_km: nil,
                rules: {
                  coverage:
                }
              )
            [side, verdict]
          end
        end

        # The same with diameters as they are.
        def said(verdicts)
          verdicts.transform_values do |verdict|
            verdict.with(**verdict.to_h.slice(*LENGTHS).transform_values { |mm| turned(mm) })
          end
        end

        # Whose material decides whether a cut is possible (Core::Judgement::RotorPlan.call), turned round.
        def limits
          {
            discard_mm: turned(@file.drum_maximum_mm),
            machine_to_mm: turned(@file.length_mm("drum.machine_to_diameter")),
            wear_mm: rules.dig("machine_margin_mm", "value"),
            cut_mm: rules.dig("cut_mm", "value")
          }
        end

        private

        # The widest place of the newest survey, as read.
        def read(side)
          rows, = @file.newest_rows("drum", side)
          return unless rows

          places = rows.map { |row| @knowledge.normalise.call(@file.reading_of(row), @file.part("drum")) }
          widest = Core::Measurement::Survey.of(places).maximum
          { mean_mm: turned(widest.value_mm), sd_mm: widest.standard_uncertainty_mm, rough: false }
        end

        def turned(length_mm) = length_mm && -length_mm
      end
    end
  end
end
