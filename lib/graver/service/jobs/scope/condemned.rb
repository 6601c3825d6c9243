# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What is known of a vehicle in the middle of a job that forbids driving and that the job does not deal with: it
      # is put together, but not driven.
      class Condemned
        # axle: Scope::AxleScope or nil: of the whole vehicle; text: why
        Reason = Core::Value.define(:axle, :text)
        # Rules of knowledge/rules/state.yml about a job itself, or about what is checked here one by one.
        OTHERWISE = %w[apart seen-stop rotor-read-out drum-read-out].freeze

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # Storage::Job -> [Reason]
        def call(job)
          overview = Overview::VehicleOverviews.new(@context).find_with(job.axle_id)
          of(overview, Scope.new(@context).call(overview, job.axle_id, job.scope, job.approaches), job)
        end

        # The same for data already loaded: VehicleOverviews::Overview, Scope::Chosen
        def of(overview, scope, job)
          works = scope.included.flat_map(&:works)
          scope.axles.flat_map { |axle| of_axle(axle) } + symptoms(overview, works, job) + findings(overview) +
            answers(job) + loose(job) + half_done(job)
        end

        private

        def of_axle(axle) = rotors(axle) + pads(axle) + marks(axle, axle.overview.seen, axle.works)

        def rotors(axle)
          return [] if !axle.rotors[:must] || axle.works.intersect?(axle.rotors[:fits])

          label = axle.rotors[:label]
          [
            Reason.new(
              axle:,
              text: Message.of("jobs.condemned_rotors", axle: axle.name.capitalize, verdict: Typography.inside(label))
            )
          ]
        end

        def pads(axle)
          judgement = axle.overview.judgement
          return [] if axle.renewed? || judgement&.severity != "stop"

          judgement
            .rules
            .reject { |rule| OTHERWISE.include?(rule.id) }
            .map do |rule|
              said = axle.file.wording.fill(rule.sentence, axle.overview.measures)
              Reason.new(axle:, text: "#{axle.name.capitalize}: #{said}")
            end
        end

        def marks(axle, seen, works)
          seen.select { |each| each.severity == "stop" && !answered?(each, works) }.map { |each| reason(axle, each) }
        end

        # Of the fluid and the whole vehicle.
        def findings(overview)
          overview
            .findings
            .select { |found| found.severity == "stop" }
            .map { |found| Reason.new(axle: nil, text: [found.sentence, found.advice].reject(&:empty?).join(" ")) }
        end

        # Open symptoms, without those an answer in this job has cleared.
        def symptoms(overview, works, job)
          cleared = answered(job).select(&:good).flat_map(&:clears)
          marks(nil, overview.seen.reject { |seen| cleared.include?("#{seen.item.id}.#{seen.mark.id}") }, works)
        end

        # Answers at the job's steps.
        def answers(job)
          answered(job).filter_map(&:because).map { |because| Reason.new(axle: nil, text: because) }
        end

        def answered(job)
          job.answers.filter_map { |key, answer| @knowledge.procedure.step(key.split(".").last)&.asks&.answer(answer) }
        end

        # Work that was on one side only when the job was put back together.
        def half_done(job) = (job.scope&.fetch("half", nil) || []).map { |text| Reason.new(axle: nil, text:) }

        def loose(job)
          loose = job.torques.select { |entry| %w[under undone].include?(entry["verdict"]) }
          loose.map do |entry|
            label = @knowledge.fastener(entry["fastener"])&.label || entry["fastener"]
            Reason.new(
              axle: nil,
              text: Message.of("torque.loose", label: Typography.inside(label), bolt: entry["bolt"])
            )
          end
        end

        def answered?(seen, works)
          @knowledge.scope_rules.answering([seen.item.id, "#{seen.item.id}.#{seen.mark.id}"], works).any?
        end

        def reason(axle, seen)
          said = [axle&.name&.capitalize, [Typography.sentence(seen.text), seen.caution].compact.join(" ")].compact
          Reason.new(axle:, text: said.join(": "))
        end
      end
    end
  end
end
