# frozen_string_literal: true

module Graver
  module Core
    module Training
      # A rotor's reading against its limits: does it stay with new pads, is it machined, is it worn out, or is it
      # unknown?
      class RotorChoice < Drill
        OUTCOMES = %w[stay turn replace measure_again].freeze
        DISCARD = [20.0, 21.5, 22.5, 23.0, 26.0].freeze
        # above discard, in hundredths of a millimetre; is a deep groove in it?
        CASES = [[-35, false], [0, false], [4, false], [95, false], [180, false], [160, true], [45, true]].freeze
        MACHINE_TO_MM = 0.5
        SD_MM = 0.03

        # -> Question
        def question
          tokens = { reading: @reading, good: SD_MM, discard: @discard, machine: @discard + MACHINE_TO_MM }
          asking(say(@grooved ? "drills.rotor_grooved" : "drills.rotor", **tokens), "choice", choices:)
        end

        # answer: as it was given -> Marking
        def mark(answer)
          given = chosen(answer, choices)
          marking(given[:id] == outcome, label(outcome), because, nil)
        end

        private

        def set_up
          @discard = @draw.pick(DISCARD)
          above, @grooved = @draw.pick(CASES)
          @reading = (@discard + (above / 100.0)).round(2)
        end

        def choices = OUTCOMES.map { |id| { id:, label: label(id) } }
        def label(id) = say("drills.rotor_#{id}")

        def verdict
          Judgement::RotorVerdict.call(
            thickness: {
              mean_mm: @reading,
              sd_mm: SD_MM
            },
            discard_mm: @discard,
            life: nil,
            next_pads_km: nil,
            rules: @rules
          )
        end

        def plan
          Judgement::RotorPlan.call(
            verdicts: [verdict, verdict],
            leaves: @grooved ? "cut" : nil,
            approach: "reuse",
            machine_to_mm: @discard + MACHINE_TO_MM,
            discard_mm: @discard,
            wear_mm: nil,
            cut_mm: @rules.fetch(:cut_mm),
            order: @rules.fetch(:order)
          )
        end

        def outcome = plan.outcome

        def because
          tokens = { reading: @reading, discard: @discard, error: verdict.error_mm, cut: @rules.fetch(:cut_mm) }
          left = plan.cut_left_mm
          if @grooved && left
            return say(left.negative? ? "drills.rotor_no_cut" : "drills.rotor_cut", **tokens, left: left.abs)
          end

          say("drills.rotor_because_#{outcome}", **tokens)
        end
      end
    end
  end
end
