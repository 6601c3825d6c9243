# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # One axle as it stands today.
      class Axles
        # The part each rule of state is about, by the start of its id.
        def initialize(knowledge)
          @knowledge = knowledge
        end

        # job: the open Storage::Job of this axle or nil.
        def call(overview, job)
          file, answer = overview.file, overview.answer
          {
            id: file.axle.id,
            name: file.axle.name,
            sides: file.axle.sides,
            brakes: file.place.fetch("brakes"),
            limit_mm: overview.answer.pads&.limit_mm || file.limit_mm,
            state: state(overview.judgement.severity),
            reasons: reasons(overview),
            corners: Corners.new(@knowledge).believed(overview),
            pads_life: RemainingLife.call(answer, answer.pads&.first),
            rotors_life: RemainingLife.call(answer, answer.rotors&.first),
            why_not: answer.why.values.map { |reason| file.wording.own(reason) },
            look_again: LookAgain.call(answer, @knowledge.look_again_most_days),
            readings: answer.pads&.readings || 0,
            doubted: overview.measures.fetch("doubted_readings"),
            last_inspection: seen(overview.last_inspection),
            job: job && brief(job)
          }
        end

        def state(severity) = { severity:, **@knowledge.state.dig("severities", severity).transform_keys(&:to_sym) }

        def name(file)
          {
            id: file.axle.id,
            name: file.axle.name,
            sides: file.axle.sides,
            brakes: file.place.fetch("brakes"),
            vehicle_id: file.vehicle.id,
            vehicle_name: file.vehicle.name,
            kind: file.vehicle.kind,
            distance_unit: file.vehicle.distance_unit
          }
        end

        def brief(job) = { id: job.id, state: job.state, planned_for: job.planned_for&.iso8601 }

        def reasons(overview)
          wording = overview.file.wording
          overview.judgement.rules.map do |rule|
            {
              rule: rule.id,
              part: rule.topic || "axle",
              sentence: wording.fill(rule.sentence, overview.measures),
              source: overview.measures["#{rule.source}_source"] || @knowledge.source_title(rule.source)
            }
          end
        end

        private

        def seen(inspection)
          inspection && { date: inspection.date.iso8601, odometer_km: inspection.odometer_km.round(1) }
        end
      end
    end
  end
end
