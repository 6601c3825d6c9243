# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The work that the verdict on an axle's rotors adds to a job, and whether a reason may override it.
      class RotorChoice
        # A finding after which a rotor does not stay, whatever the reason: a backing plate ran on it.
        METAL_RUN = "rotor-metal"

        def initialize(knowledge)
          @rules = knowledge.scope
        end

        # judged: AxleRotors::Judged; overview: AxleOverview::Overview; works: of the axle's rotors, as
        # ScopeRules#of_rotors has them -> { verdict:, label:, proposed: work id or nil, fits: [work id] that answer the
        # verdict, must: no reason is good enough }
        def call(judged, overview, works)
          verdict = judged.plan.outcome
          fits = @rules["rotors_by_verdict"].fetch(verdict, []).filter_map { |what| works[what] }
          metal = fits.any? && overview.findings.any? { |found| found.rule == METAL_RUN }
          { verdict:, label: judged.label, proposed: fits.first, fits:, must: metal || must?(judged) }
        end

        # The owner's reason to do otherwise: it counts only for the verdict it was given for. on_file: the scope
        def reason(on_file, axle_id, verdict)
          given_for = on_file.dig("verdicts", axle_id)
          on_file.dig("reasons", axle_id) if given_for.nil? || given_for == verdict
        end

        private

        # A rotor too thin or cracked has no other way; a worn face may be left with a reason.
        def must?(judged)
          return false unless @rules["must"].include?(judged.plan.outcome)

          judged.plan.because == "thickness" ||
            judged.conditions.any? { |condition| condition.leaves == "replace" && !condition.reasonable }
        end
      end
    end
  end
end
