# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # What becomes of an axle's rotors or drums: today, and with new pads or shoes.
      class AxleRotors
        # verdicts: { side => Core::Judgement::RotorVerdict }, of drums with diameters; plan: Core::Judgement::RotorPlan;
        # conditions: [RotorConditions::Condition]; texts: of the verdicts, by outcome
        Judged =
          Core::Value.define(:verdicts, :plan, :conditions, :texts) do
            # The plan in a few words: "Replace both rotors"
            def label = texts.dig(plan.outcome, "label")
          end
        LEAVES = %w[replace cut measure].freeze

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # file: AxleRecord; answer: Core::Schedule::AxleForecast::Answer; seen: [CurrentConditions::Observation] of the
        # vehicle; findings: [AxleFindings::Found] of the axle; with_pads: are new pads to go on? -> Judged
        def call(file, answer, seen, findings, with_pads:)
          sized = (file.drum? ? DrumDiameters : RotorThicknesses).new(@knowledge, file, answer)
          verdicts = sized.verdicts(with_pads:)
          conditions = RotorConditions.new(@knowledge, file, sized.rules).call(seen, findings)
          Judged.new(
            verdicts: sized.said(verdicts),
            conditions:,
            plan: plan(sized, verdicts.values, conditions, with_pads && !file.drum? ? approach : nil),
            texts: sized.rules.fetch("verdicts")
          )
        end

        # The verdict on each side: [{ side:, outcome:, sentence:, change: }]; wording: Base::Wording of the axle
        def self.said(judged, wording)
          judged.verdicts.map do |side, verdict|
            outcome = judged.plan.because == "thickness" ? verdict.outcome : judged.plan.outcome
            text = judged.texts.fetch(outcome)
            {
              side:,
              outcome:,
              sentence: wording.fill(sentence(text, verdict, judged), tokens(side, verdict, judged)),
              change: text.fetch("change")
            }
          end
        end

        def self.tokens(side, verdict, judged)
          {
            "side" => side.capitalize,
            "cut_left_mm" => judged.plan.cut_left_mm,
            "reasons" => judged.conditions.map(&:text).uniq.join("; "),
            **verdict
              .to_h
              .slice(:reading_mm, :error_mm, :now_mm, :now_error_mm, :discard_mm, :spare_mm, :chance)
              .transform_keys(&:to_s)
          }
        end

        def self.sentence(text, verdict, judged)
          said = judged.plan.because == "condition" ? text.fetch("by_condition") : by_evidence(text, verdict)
          outlasts = text["outlasts"] && verdict.chance && judged.plan.because == "thickness"
          outlasts ? "#{said} #{text["outlasts"]}" : said
        end

        def self.by_evidence(text, verdict) = text["by_#{verdict.because}"] || text.fetch("sentence")
        private_class_method :sentence, :tokens, :by_evidence

        private

        # What the owner does with rotors when the pads are renewed; a drum lasts several sets of shoes.
        def approach = Household::Approaches.new(@context).chosen.fetch("rotors")

        def plan(sized, verdicts, conditions, approach)
          if verdicts.empty?
            return Core::Judgement::RotorPlan.new(outcome: "unmeasured", because: "thickness", cut_left_mm: nil)
          end

          Core::Judgement::RotorPlan.call(
            verdicts:,
            leaves: LEAVES.find { |left| conditions.any? { |condition| condition.leaves == left } },
            approach:,
            order: sized.rules.fetch("order"),
            **sized.limits
          )
        end
      end
    end
  end
end
