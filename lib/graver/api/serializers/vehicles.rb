# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # One vehicle as it stands today, with its log.
      class Vehicles
        # From the gravest.
        SEVERITIES = %w[stop plan watch good].freeze
        NEVER = 1_000_000
        NOTES = Service::Household::ChangeVehicle::NOTES

        def initialize(knowledge, today)
          @knowledge = knowledge
          @today = today
          @axles = Axles.new(knowledge)
          @log = VehicleLog.new(knowledge)
        end

        # The garage's sort key of a vehicle: the smaller, the more urgent.
        def urgency(overview)
          days = overview.axles.filter_map { |axle| axle.measures["careful_days"] }.min
          [SEVERITIES.index(severity(overview)), days || NEVER, overview.vehicle.id]
        end

        # A card of the garage, without log and history. working: a new one is being calculated
        def card(overview, working: false) = call(overview, working:).merge(log: [], jobs_done: [])

        def call(overview, working: false)
          fields = { working: }.merge(
            overview.vehicle.to_h.slice(:id, :name, :kind, :drive, :distance_unit, :archived, :sample, *NOTES)
          )
          fields.merge(
            odometer(overview),
            revision: Service::Base::Revision.of(Service::Household::VersionedVehicle.fields(overview.vehicle)),
            state: @axles.state(severity(overview)),
            why: reason(overview, working),
            calculated: overview.error.nil?,
            unusable: unusable(overview),
            fluid: fluid(overview.fluid),
            log: @log.call(overview),
            axles: axles(overview),
            jobs_done: jobs_done(overview),
            jobs_open: jobs_open(overview),
            skipped: skipped(overview),
            follow_ups: FollowUps.call(overview.follow_ups, @today),
            seen: overview.seen.select(&:severity).map { |mark| seen(mark) } + found(overview.findings, overview)
          )
        end

        private

        # Today's odometer, extrapolated from the last one logged.
        def odometer(overview)
          last = overview.inspections.last
          return read_last(last) if overview.error

          answer = overview.axles.first.answer
          {
            odometer_km: last && answer.as_of_km.round,
            odometer_estimated: !last.nil? && last.date != answer.as_of_date,
            km_per_day: answer.driving.km_per_day.round(1)
          }
        end

        # The last readings, where there is no forecast.
        def read_last(inspection)
          { odometer_km: inspection&.odometer_km&.round, odometer_estimated: false, km_per_day: 0.0 }
        end

        # Readings on file that do not count until they are corrected.
        def unusable(overview)
          overview.ahead.map { |inspection| ahead(inspection) } +
            overview.unusable.map do |each|
              {
                inspection: each.inspection.id,
                text: Service::Household::ReadingsOnFile.said(overview.vehicle, each.inspection, each.row),
                because: each.because
              }
            end
        end

        def unusable?(overview) = overview.unusable.any? || overview.ahead.any?

        def ahead(inspection)
          { inspection: inspection.id, text: Say::Formats.day(inspection.date), because: Say::Texts.t("log.ahead") }
        end

        def axles(overview)
          overview.axles.map { |axle| @axles.call(axle, overview.jobs.fetch(axle.file.axle.id, []).first) }
        end

        def jobs_open(overview)
          overview
            .jobs
            .values
            .flatten
            .uniq(&:id)
            .map do |job|
              { **@axles.brief(job), what: Service::Jobs::JobTitle.of_job(@knowledge, job, overview.vehicle.axles) }
            end
        end

        def jobs_done(overview)
          overview.finished.reverse.map do |job|
            {
              id: job.id,
              day: job.closed["day"],
              what: Service::Jobs::JobTitle.of_job(@knowledge, job, overview.vehicle.axles),
              hours: job.closed["hours"],
              spent: job.closed["spent"]
            }
          end
        end

        # Steps done another way in its jobs, until they are made good.
        def skipped(overview)
          jobs = (overview.jobs.values.flatten + overview.finished).uniq(&:id)
          jobs.flat_map do |job|
            job
              .deviations
              .except(*job.resolved_deviations)
              .map do |step, said|
                { job: job.id, step:, text: said["text"], because: said["because"], day: said["day"] }
              end
          end
        end

        def reason(overview, working)
          return Say::Texts.t("log.working") if working

          overview.error ? Say::Texts.t("log.not_calculated") : why(overview)
        end

        # The reason for the vehicle's severity in one sentence; nothing if all is good.
        def why(overview)
          severity = severity(overview)
          return if severity == "good"

          said = (overview.seen + overview.findings).find { |each| each.severity == severity }
          return "#{said.text[0].upcase}#{said.text[1..]}.#{" #{said.caution}" if severity == "stop"}" if said

          axles = overview.axles.select { |each| each.judgement.severity == severity }
          if axles.empty?
            still_open(overview)
          else
            axles.map { |axle| AxleName.tells(axle.file.axle.name, lead(axle)) }.join(" ")
          end
        end

        def still_open(overview)
          return Say::Texts.t("log.follow_up", what: due(overview).text) if due(overview)

          Say::Texts.t(unusable?(overview) ? "log.has_unusable" : "log.done_differently")
        end

        # One sentence: the rest stands with the axle. A Stop is explained in full.
        def lead(axle)
          sentence = @axles.reasons(axle).first[:sentence]
          axle.judgement.severity == "stop" ? sentence : sentence[/\A.*?[.!?](?=\s|\z)/m] || sentence
        end

        # The worst of its axles' severities and of the findings about the vehicle itself.
        def severity(overview)
          severities = [
            *overview.axles.map { |axle| axle.judgement.severity },
            *(overview.seen + overview.findings).filter_map(&:severity),
            ("watch" if to_see_to?(overview))
          ]
          severities.compact.min_by { |severity| SEVERITIES.index(severity) }
        end

        def to_see_to?(overview)
          skipped(overview).any? || unusable?(overview) || overview.error || due(overview)
        end

        # Whether a follow-up's day has come.
        def due(overview) = overview.follow_ups.find { |each| each.due?(@today) }

        def found(findings, overview)
          return [] if findings.empty?

          today = overview.axles.first.answer.as_of_date.iso8601
          findings.map do |found|
            { severity: found.severity, text: found.title, caution: "#{found.sentence} #{found.advice}", date: today }
          end
        end

        def seen(mark) = { severity: mark.severity, text: mark.text, caution: mark.caution, date: mark.date.iso8601 }

        def fluid(fluid)
          fluid &&
            {
              renewed_on: fluid.renewed_on.iso8601,
              due_on: fluid.due_on.iso8601,
              overdue_days: fluid.overdue_days,
              estimated: fluid.estimated,
              circuits:
                fluid.circuits.map do |circuit|
                  { axle: circuit.axle, renewed_on: circuit.renewed_on&.iso8601, estimated: circuit.estimated }
                end
            }
        end
      end
    end
  end
end
