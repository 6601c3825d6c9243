# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # May a rotor stay with new pads? A reading on the discard thickness counts as out; one within its error of it
      # decides nothing; one above it must also be likely to outlast the next pads.
      #
      # outcome: "replace", "measure_again", "will_not_outlast", "stay", "unknown_limit" or "unmeasured"
      # outlast_chance: chance of reaching discard within the next pads' life, nil where that cannot be said
      RotorVerdict =
        Value.define(:outcome, :reading_mm, :error_mm, :discard_mm, :spare_mm, :chance) do
          # thickness: the believed thickness as { mean_mm:, sd_mm: }, or nil when unread;
          # life: Wear::Life of this rotor or nil; next_pads_km: median life of the next pads or nil;
          # rules: { coverage:, outlast_chance: }.
          def self.call(thickness:, discard_mm:, life:, next_pads_km:, rules:)
            error = thickness && (rules.fetch(:coverage) * thickness.fetch(:sd_mm))
            chance = life && next_pads_km && life.chance_passed(next_pads_km)
            new(
              outcome: outcome(thickness, error, discard_mm, chance, rules),
              reading_mm: thickness&.fetch(:mean_mm),
              error_mm: error,
              discard_mm:,
              chance:,
              spare_mm: thickness && discard_mm && (thickness.fetch(:mean_mm) - discard_mm)
            )
          end

          def self.outcome(thickness, error, discard_mm, chance, rules)
            return "unmeasured" unless thickness
            return "unknown_limit" unless discard_mm
            return "replace" if thickness.fetch(:mean_mm) <= discard_mm
            return "measure_again" if thickness.fetch(:mean_mm) - error <= discard_mm

            chance && chance > rules.fetch(:outlast_chance) ? "will_not_outlast" : "stay"
          end
          private_class_method :outcome
        end
    end
  end
end
