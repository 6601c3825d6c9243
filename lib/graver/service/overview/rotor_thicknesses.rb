# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # The verdict on each rotor of an axle by its thickness alone.
      class RotorThicknesses
        # file: AxleRecord; answer: Core::Schedule::AxleForecast::Answer
        def initialize(knowledge, file, answer)
          @knowledge = knowledge
          @file = file
          @answer = answer
        end

        # knowledge/rules/rotor.yml
        def rules = @knowledge.rotor_rules

        # with_pads: are new pads to go on? -> { side => Core::Judgement::RotorVerdict }
        def verdicts(with_pads:)
          next_pads_km = with_pads ? self.next_pads_km : nil
          @file.axle.sides.to_h { |side| [side, verdict(side, next_pads_km)] }
        end

        # The same as they are said.
        def said(verdicts) = verdicts

        # Whose material decides whether a cut is possible (Core::Judgement::RotorPlan.call).
        def limits
          {
            discard_mm: @file.discard_mm,
            machine_to_mm: @file.length_mm("rotor.machine_to_thickness"),
            wear_mm:,
            cut_mm: @knowledge.approaches.fetch("cut_mm")
          }
        end

        private

        def verdict(side, next_pads_km)
          Core::Judgement::RotorVerdict.call(
            thickness: read(side),
            believed: believed(side),
            discard_mm: @file.discard_mm,
            life: @answer.rotors&.components&.fetch(side, nil),
            next_pads_km:,
            rules: {
              coverage: rules.dig("coverage", "value"),
              outlast_chance: rules.dig("outlast_chance", "value")
            }
          )
        end

        # The thinnest place of the newest reading, as read.
        def read(side)
          reading = @file.newest_reading("rotor", side) or return
          newest = @knowledge.normalise.call(reading, @file.part("rotor"))
          {
            mean_mm: newest.value_mm,
            sd_mm: newest.standard_uncertainty_mm,
            rough: !@knowledge.precise?(reading.method)
          }
        end

        # Today's thickness by the forecast. A new rotor of known thickness is believed as far as it goes, until it is
        # read.
        def believed(side)
          return unless @file.newest_reading("rotor", side) || fitted?(side)

          @answer.rotors&.now&.fetch(side, nil)
        end

        def fitted?(side)
          first = @file.since_fit("rotor", side).first
          first&.renewal? && (first.reading || @file.data.key?("rotor.new_thickness"))
        end

        # Over the life of the next pads, at the pace of the faster rotor.
        def wear_mm
          km = next_pads_km
          return unless km && @answer.rotors&.readings&.positive?
          @answer.rotors.rates.values.map { |rates| rates[1] }.max * km / 1000
        end

        # How long a new set would last at the pace of the fastest pad of this one.
        def next_pads_km
          pads = @answer.pads or return
          fastest = pads.rates.values.map { |rates| rates[1] }.max
          [@file.new_pad_mm - pads.limit_mm, 0].max / fastest * 1000
        end
      end
    end
  end
end
