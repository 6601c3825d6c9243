# frozen_string_literal: true

module Graver
  module Service
    module Logbook
      # Everything that is on file of a vehicle with its day: inspections, finished and cancelled jobs, corrections,
      # follow-ups, trips and what forecasts came to.
      class Entries
        # kind: of KINDS; record: what it is made of, as the records have it (Storage, RecordForecasts::Scored); more:
        # what else is said in it, for a search
        Entry = Core::Value.define(:kind, :day, :record, :axle, :more)
        KINDS = %w[inspection job correction follow_up event forecast].freeze

        def initialize(context)
          @context = context
          @store = context.store
          @knowledge = context.knowledge
        end

        # VehicleOverviews::Overview -> [Entry], the newest first
        def of(overview)
          all = [
            *inspections(overview),
            *jobs(overview),
            *corrections(overview),
            *overview.follow_ups.map do |follow_up|
              entry("follow_up", follow_up.day, follow_up, follow_up.closed_because)
            end,
            *events(overview),
            *overview.axles.flat_map { |axle| forecasts(axle.file) }
          ]
          all.sort_by.with_index { |each, at| [each.day, at] }.reverse
        end

        private

        def entry(kind, day, record, *more, axle: nil)
          Entry.new(kind:, day:, record:, axle:, more: more.flatten.compact)
        end

        def inspections(overview)
          [*overview.inspections, *overview.ahead].map do |inspection|
            entry("inspection", inspection.date, inspection, inspection.note, marks(inspection))
          end
        end

        def marks(inspection)
          inspection.conditions.map do |mark|
            item = @knowledge.condition_item(mark.item)
            [mark.side, item&.label, item&.mark(mark.mark)&.label, mark.value].compact.join(" ")
          end
        end

        def jobs(overview)
          overview.finished.map do |job|
            bought = (job.closed["prices"] || []).map { |row| row["name"] }
            done_otherwise = job.deviations.values.flat_map { |said| said.values_at("text", "because") }
            day = Date.iso8601(job.closed["day"])
            entry("job", day, job, job.notes.map { |note| note["text"] }, bought, done_otherwise)
          end
        end

        def corrections(overview)
          @store
            .corrections
            .of_vehicle(overview.vehicle.id)
            .map do |correction|
              entry("correction", Date.iso8601(correction.recorded_at[0, 10]), correction, correction.reason)
            end
        end

        def events(overview)
          @store
            .planned_events
            .of_vehicles([overview.vehicle.id])
            .fetch(overview.vehicle.id, [])
            .select { |event| event.from_on <= @context.today }
            .map { |event| entry("event", event.from_on, event, event.kind) }
        end

        # Those whose end is known.
        def forecasts(file)
          scored = Forecast::RecordForecasts.new(@context).scored(file)
          scored
            .reject { |each| each.verdict.interval_covered.nil? }
            .map { |each| entry("forecast", each.given.given_on, each, axle: file.axle) }
        end
      end
    end
  end
end
