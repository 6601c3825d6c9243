# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # The findings of one axle, with the causes that fit.
      class AxleFindings
        # A finding in words. causes: [Core::Judgement::Causes::Cause]
        Found =
          Core::Value.define(
            :rule,
            :severity,
            :topic,
            :axle_id,
            :side,
            :pad,
            :place,
            :title,
            :sentence,
            :reading,
            :limit,
            :confidence,
            :change,
            :advice,
            :source,
            :causes
          ) do
            # As a reason of the axle's state: short, as the whole of it stands among the findings; what stops a
            # vehicle says why.
            def text = [title, [side, pad].compact.join(" ")].reject(&:empty?).join(", ")
            # What to do before driving, where it forbids that, or nil.
            def caution = severity == "stop" ? advice : nil
          end

        def initialize(knowledge)
          @knowledge = knowledge
        end

        # seen: [CurrentConditions::Observation] of the vehicle -> [Found], worst first
        def call(file, answer, seen)
          @knowledge
            .finding_engine
            .call(FindingInputs.new(@knowledge, file, answer, seen).call)
            .map { |finding| found(finding, file.wording, causes(finding, file, seen)) }
        end

        # A finding of the engine in words; wording: Base::Wording of its axle or vehicle.
        def found(finding, wording, causes = [])
          rule, measures = finding.rule, finding.place.measures
          texts =
            %i[title sentence reading limit change advice].to_h do |field|
              [field, wording.fill(rule[field].to_s, measures)]
            end
          Found.new(
            rule: rule.id,
            severity: rule.severity,
            topic: rule.topic,
            axle_id: finding.place.axle_id,
            side: finding.place.side,
            pad: finding.place.pad,
            place: measures["place"],
            confidence: rule.confidence && measures[rule.confidence],
            source: @knowledge.source_title(rule.source),
            causes:,
            **texts
          )
        end

        private

        def causes(finding, file, seen)
          pattern = finding.rule.pattern or return []
          candidates =
            @knowledge
              .causes(pattern)
              .reject { |cause| cause.needs == "parking_brake" && ["none", nil].include?(file.parking_brake) }
          Core::Judgement::Causes.rank(candidates, evidence(finding, file, seen))
        end

        # Marks of this corner and of the vehicle, and whether an earlier set wore the same way.
        def evidence(finding, file, seen)
          place = finding.place
          near = seen.select { |mark| mark.axle_id.nil? || (mark.axle_id == file.axle.id && mark.side == place.side) }
          marks = near.map { |mark| "#{mark.item.id}.#{mark.mark.id}" }
          recurs?(place.side, file, finding.rule.pattern) ? marks + ["recurs"] : marks
        end

        # The last reading of both pads before the newest set was fitted, uneven the same way.
        def recurs?(side, file, pattern)
          return false unless %w[inner_thin outer_thin].include?(pattern)

          inner, outer = %w[inner outer].map { |pad| last_of_earlier_mm(file, side, pad) }
          return false unless inner && outer

          (pattern == "inner_thin" ? outer - inner : inner - outer) >= @knowledge.findings.dig("recurs_mm", "value")
        end

        def last_of_earlier_mm(file, side, pad)
          earlier = file.sets("pad", side, pad)[-2] or return
          last = earlier.reverse.find { |entry| entry.reading && !entry.renewal? }
          last && @knowledge.normalise.call(last.reading, file.part("pad")).value_mm
        end
      end
    end
  end
end
