# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Lines of the log, sets and costs, in words.
      class Logbook
        # What a line of each kind opens.
        PLACES = {
          "inspection" => ->(record, _) { "inspections/#{record.id}" },
          "job" => ->(record, _) { "jobs/#{record.id}" },
          "correction" => ->(record, _) { "inspections/#{record.inspection_id}" },
          "follow_up" => ->(_, vehicle) { "vehicles/#{vehicle.id}" },
          "event" => ->(_, vehicle) { "vehicles/#{vehicle.id}/timeline" },
          "forecast" => ->(record, _) { "axles/#{record.given.axle_id}/wear" }
        }.freeze

        def initialize(knowledge)
          @knowledge = knowledge
          @log = VehicleLog.new(knowledge)
        end

        # VehicleOverviews::Overview, [Service::Logbook::Entries::Entry] -> [[line, text it is found by], ...]
        def lines(overview, entries)
          said = @log.call(overview).to_h { |line| [line[:id], line[:what]] }
          entries.map do |entry|
            line = line(overview, entry, said)
            [line, [*line.values_at(:vehicle, :date, :what, :note, :done_by), *entry.more].compact.join(" ")]
          end
        end

        # Service::Logbook::Sets::Told -> Hash
        def set(told)
          {
            axle: told.file.axle.name,
            part: told.file.part_name(told.part),
            part_of_length: told.part,
            now: told.on,
            from: told.from&.iso8601,
            upto: told.upto&.iso8601,
            **story(told.story),
            seen: told.seen.map { |each| seen(*each) }
          }
        end

        # Service::Logbook::Costs::Spent -> Hash
        def cost(spent)
          {
            vehicle: spent.vehicle.id,
            name: spent.vehicle.name,
            distance_unit: spent.vehicle.distance_unit,
            total: spent.total.round(2),
            years: spent.years.map { |year, sum| { year:, spent: sum.round(2) } },
            axles: spent.axles.map { |axle, sum| { axle:, spent: sum.round(2) } },
            per_1000_km: spent.per_1000_km&.round(2),
            over_km: spent.over_km.round,
            unpriced: spent.unpriced
          }
        end

        private

        def story(story)
          {
            known: story.known,
            km: (story.upto_km - story.from_km).round,
            first: story.first&.to_s&.tr("_", " "),
            left_mm: story.left_mm&.round(2),
            new_mm: story.new_mm&.round(2),
            pace: story.pace&.round(3),
            uneven: story.uneven&.round(1),
            stands_out: story.stands_out?
          }
        end

        def seen(day, side, item, mark)
          { day: day.iso8601, what: [side, item.downcase].compact.join(" "), mark: }
        end

        def line(overview, entry, said)
          vehicle, record = overview.vehicle, entry.record
          {
            kind: entry.kind,
            id: entry.kind == "forecast" ? record.given.id : record.id,
            place: PLACES.fetch(entry.kind).call(record, vehicle),
            vehicle_id: vehicle.id,
            vehicle: vehicle.name,
            date: entry.day.iso8601,
            odometer_km: (record.odometer_km.round(1) if entry.kind == "inspection"),
            distance_unit: vehicle.distance_unit,
            what: what(overview, entry, said),
            note: note(entry),
            done_by: done_by(entry),
            spent: (Service::Jobs::SpentBefore.of(record)&.round(2) if entry.kind == "job")
          }
        end

        # Who did it, where that is known: all who did something in a job.
        def done_by(entry)
          case entry.kind
          when "inspection", "correction"
            entry.record.done_by
          when "job"
            people = entry.record.people
            people.join(", ") unless people.empty?
          end
        end

        def what(overview, entry, said)
          record = entry.record
          case entry.kind
          when "inspection"
            said.fetch(record.id)
          when "job"
            Service::Jobs::JobTitle.of_job(@knowledge, record, overview.vehicle.axles)
          when "correction"
            Say::Texts.t(record.change["void"] ? "log.voided" : "log.corrected", reason: record.reason)
          when "follow_up"
            record.text
          when "event"
            record.name
          else
            forecast(entry, overview.vehicle.distance_unit)
          end
        end

        def forecast(entry, unit)
          given, verdict = entry.record.given, entry.record.verdict
          low, high = [0.1, 0.9].map { |chance| given.quantiles.fetch(chance) }
          key = verdict.interval_covered ? "log.forecast_right" : "log.forecast_wrong"
          Say::Texts.t(key, unit:, axle: entry.axle.name.capitalize, low:, high:, was: verdict.was_km)
        end

        def note(entry)
          case entry.kind
          when "inspection"
            entry.record.note
          when "job"
            said_of_job(entry.record)
          when "follow_up"
            entry.record.closed_because
          end
        end

        def said_of_job(job)
          hours = job.closed["hours"]
          said = [*(Say::Texts.t("log.hours", hours:) if hours), *job.notes.map { |note| note["text"] }]
          said.join(". ") unless said.empty?
        end
      end
    end
  end
end
