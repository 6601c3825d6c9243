# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A shop's figure for a part ("2 mm front") compared with the log's estimate of its thinnest position. chance:
      # that the thinnest is as thin as claimed, the claim taken to be good to `claim_sd_mm`; verdict: "fits",
      # "doubtful" or "contradicts".
      Claim =
        Value.define(:claimed_mm, :position, :mean_mm, :sd_mm, :chance, :verdict) do
          # now: { position => { mean_mm:, sd_mm: } }; doubtful, contradicts: the verdict changes at or below these
          # chances
          def self.check(claimed_mm, now, claim_sd_mm:, doubtful:, contradicts:)
            position, thinnest = now.min_by { |_, each| each[:mean_mm] }
            spread = Math.hypot(thinnest[:sd_mm], claim_sd_mm)
            chance = Wear::Normal.cumulative((claimed_mm - thinnest[:mean_mm]) / spread)
            verdict =
              if chance <= contradicts
                "contradicts"
              else
                chance <= doubtful ? "doubtful" : "fits"
              end
            new(claimed_mm:, position:, mean_mm: thinnest[:mean_mm], sd_mm: thinnest[:sd_mm], chance:, verdict:)
          end
        end
    end
  end
end
