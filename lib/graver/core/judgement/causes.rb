# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Ranks the possible causes of a wear pattern by how common each is and by the evidence.
      module Causes
        # share: 0 to 1 over all candidates; seen: the evidence that spoke for or against it
        Cause = Value.define(:id, :label, :share, :seen, :check, :remedy)

        module_function

        # candidates: entries of knowledge/rules/causes.yml; evidence: ["slide_pins.seized", "recurs", ...] ->
        # [Cause], likeliest first
        def rank(candidates, evidence)
          weighed =
            candidates.map do |candidate|
              seen = candidate.evidence.keys & evidence
              [candidate, seen, seen.reduce(candidate.weight.to_f) { |weight, mark| weight * candidate.evidence[mark] }]
            end
          total = weighed.sum(&:last)
          weighed
            .map { |candidate, seen, weight| cause(candidate, seen, weight / total) }
            .sort_by { |cause| -cause.share }
        end

        def cause(candidate, seen, share)
          Cause.new(
            id: candidate.id,
            label: candidate.label,
            share:,
            seen:,
            check: candidate.check,
            remedy: candidate.remedy
          )
        end
      end
    end
  end
end
