# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # May a rotor stay with new pads? A reading on the discard thickness counts as out; one within its error of it
      # decides nothing; one above it must also be likely to outlast the next pads. What was only estimated since, or
      # judged by eye, condemns nothing: it asks for a reading.
      #
      # outcome: "replace", "measure_again", "will_not_outlast", "stay", "unknown_limit" or "unmeasured" reading_mm,
      # error_mm: as read, or as believed of a new part; now_mm, now_error_mm: as believed today where that is less,
      # else the same; because: "reading", "estimate" or "eye" chance: of reaching discard within the next pads' life,
      # nil where that cannot be said
      RotorVerdict =
        Value.define(
          :outcome,
          :because,
          :reading_mm,
          :error_mm,
          :now_mm,
          :now_error_mm,
          :discard_mm,
          :spare_mm,
          :chance
        ) do
          # thickness: as read { mean_mm:, sd_mm:, rough: (by eye) }, or nil when unread; believed: the same of today,
          # or nil; life: Wear::RemainingLife of this rotor or nil; next_pads_km: median life of the next pads or nil;
          # rules: { coverage:, outlast_chance: }.
          def self.call(thickness:, discard_mm:, life:, next_pads_km:, rules:, believed: nil)
            coverage = rules.fetch(:coverage)
            now = now(thickness, believed, coverage)
            chance = life && next_pads_km && life.chance_passed(next_pads_km)
            outcome, because = outcome(thickness, now, discard_mm, chance, rules)
            new(
              outcome:,
              because:,
              **figures("", thickness || now, coverage),
              **figures("now_", now, coverage),
              discard_mm:,
              chance:,
              spare_mm: now && discard_mm && (now.fetch(:mean_mm) - discard_mm)
            )
          end

          def self.figures(name, thickness, coverage)
            {
              "#{name.empty? ? "reading_" : name}mm": thickness&.fetch(:mean_mm),
              "#{name}error_mm": thickness && (coverage * thickness.fetch(:sd_mm))
            }
          end

          # The lesser of reading and today's estimate, if they differ by more than the reading's error.
          def self.now(thickness, believed, coverage)
            return believed || thickness unless thickness && believed

            gone = thickness.fetch(:mean_mm) - believed.fetch(:mean_mm)
            gone > coverage * thickness.fetch(:sd_mm) ? believed : thickness
          end

          def self.outcome(thickness, now, discard_mm, chance, rules)
            return %w[unmeasured reading] unless now
            return %w[unknown_limit reading] unless discard_mm
            return %w[replace reading] if thickness && !thickness[:rough] && out?(thickness, discard_mm)
            return "measure_again", because(thickness, now) if near?(now, discard_mm, rules)

            [chance && chance > rules.fetch(:outlast_chance) ? "will_not_outlast" : "stay", "reading"]
          end

          def self.because(thickness, now)
            return "eye" if thickness&.fetch(:rough, false)

            now.equal?(thickness) ? "reading" : "estimate"
          end

          # A rotor exactly at its limit is out, floating point apart.
          def self.out?(thickness, discard_mm) = thickness.fetch(:mean_mm) <= discard_mm + 1e-9

          def self.near?(now, discard_mm, rules)
            now.fetch(:mean_mm) - (rules.fetch(:coverage) * now.fetch(:sd_mm)) <= discard_mm
          end
          private_class_method :outcome, :figures, :now, :because, :out?, :near?

          # The thickness that is certain today.
          def safe_mm = [reading_mm - error_mm, now_mm - now_error_mm].min
        end
    end
  end
end
