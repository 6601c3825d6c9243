# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # One axle today: its forecast, its severity, and the verdict on its rotors.
      class AxleOverview
        # answer: Core::Schedule::AxleForecast::Answer; judgement: Core::Judgement::RuleEngine::Judgement; measures: its
        # input; rotors: AxleRotors::Judged as of today, rotors_with_pads: with new pads on; seen:
        # [CurrentConditions::Observation] of this axle; findings: [AxleFindings::Found]; last_inspection: the newest
        # one with readings of this axle.
        Overview =
          Core::Value.define(
            :file,
            :answer,
            :judgement,
            :measures,
            :rotors,
            :rotors_with_pads,
            :last_inspection,
            :seen,
            :findings
          )

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # limit_mm: for "what if"; jobs: [Storage::Job] of the vehicle; noticed: [CurrentConditions::Observation] on the
        # road
        def call(file, limit_mm: file.limit_mm, jobs: [], noticed: [])
          answer = Household::AxleAnswer.new(@context).call(file, limit_mm:)
          all_seen = current(file) + noticed
          findings = AxleFindings.new(@knowledge).call(file, answer, all_seen)
          judged = ->(with_pads) { AxleRotors.new(@context).call(file, answer, all_seen, findings, with_pads:) }
          seen = all_seen.select { |each| each.axle_id == file.axle.id }
          measures = measures(file, answer, seen, findings)
          overview(
            file,
            answer,
            seen,
            findings,
            measures.merge(ApartBrakes.measures(@knowledge, jobs, file.axle)),
            judged
          )
        end

        private

        # Of this axle only what such a brake has: after a change of its kind, marks of the other are past.
        def current(file)
          CurrentConditions
            .new(@knowledge)
            .call(file.inspections)
            .reject { |seen| seen.axle_id == file.axle.id && !Household::LookedAt.of_brake?(seen.item, file) }
        end

        # judged: with new pads to go on, or not -> AxleRotors::Judged
        def overview(file, answer, seen, findings, measures, judged)
          with_pads = judged[true]
          measures = measures.merge(rotor_measures(file, with_pads.verdicts))
          Overview.new(
            file:,
            answer:,
            measures:,
            seen:,
            findings:,
            judgement: @knowledge.state_engine.call(measures),
            rotors: pads_due?(measures) ? with_pads : judged[false],
            rotors_with_pads: with_pads,
            last_inspection: last_inspection(file)
          )
        end

        # Pads have rules of state of their own, by the forecast; everything else that was found counts as it is.
        def measures(file, answer, seen, findings)
          Core::Judgement::AxleMeasures.call(
            answer,
            floor_mm: file.floor.mm,
            discard_mm: file.discard_mm,
            most_days: @knowledge.look_again_most_days
          ).merge(
            { "floor_source" => file.floor.source },
            PadsRead.new(@knowledge, file).measures(file.floor.mm, file.limit_mm),
            CurrentConditions.measures(seen + findings.reject { |found| found.topic == "pads" }),
            "metal_pads" => metal_pads(file)
          )
        end

        # What the thickness or diameter as read means, and whether it means anything.
        def rotor_measures(file, verdicts)
          part = file.drum? ? "drum" : "rotor"
          side, out = verdicts.select { |_, verdict| verdict.outcome == "replace" }.min_by { |_, each| each.spare_mm }
          {
            "discard_mm" => file.discard_mm,
            "drum_maximum_mm" => file.drum_maximum_mm,
            "#{part}s_unmeasured" => verdicts.values.count { |verdict| verdict.outcome == "unmeasured" },
            "#{part}s_no_limit" => verdicts.values.count { |verdict| verdict.outcome == "unknown_limit" },
            **(out ? out_of_limit(file, part, side, out) : {})
          }
        end

        def out_of_limit(file, part, side, verdict)
          {
            "#{part}_out_mm" => verdict.reading_mm,
            "#{part}_out_side" => side.capitalize,
            "#{part}_out_exactly" =>
              (verdict.spare_mm.abs <= PadsRead::ON_THE_LIMIT_MM ? Message.of("findings.on_the_limit") : ""),
            "#{part}_out_on" => file.newest_rows(part, side)&.last&.iso8601
          }
        end

        # Pads last seen as bare metal, of the set that is on.
        def metal_pads(file)
          file
            .axle
            .sides
            .product(file.pads)
            .count { |side, pad| file.since_fit("pad", side, pad).reverse.find(&:thickness?)&.event == "metal" }
        end

        # Without pads that are due, the verdict is about the rotors as they are today.
        def pads_due?(measures)
          @knowledge.state_engine.holding(measures).intersect?(@knowledge.state.fetch("pads_due"))
        end

        def last_inspection(file)
          file.inspections.reverse.find do |inspection|
            inspection.readings.any? { |row| row.axle_id == file.axle.id && row.event == "reading" }
          end
        end
      end
    end
  end
end
