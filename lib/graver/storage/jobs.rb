# frozen_string_literal: true

require "date"
require "json"

module Graver
  module Storage
    # Planned and running jobs; what happens to one is added as events and read back from them.
    class Jobs
      # Events that move a job on; the newest of them is its state.
      STATES = %w[draft ready in_progress finished cancelled].freeze
      # Events that say of a step that it was done, or was not after all.
      DOING = %w[ticked unticked deviated].freeze

      def initialize(database)
        @database = database
        @texts = JsonTexts.new
      end

      # axle_id: the axle whose forecast or finding it began with.
      def add(axle_id:, procedure:, planned_for:, at:, by: nil)
        id = @database[:jobs].insert(axle_id:, procedure:, recorded_at: at)
        record_event(id, "planned", planned_for&.iso8601, at:, by:)
        find(id)
      end

      # kind: "planned" (value: day), "ticked" or "unticked" (value: step key), a state, or one of those with a Hash:
      # "scope", "approach", "new_part", "torqued", "adjusted", "unadjusted", "noted", "chose", "settled", "quoted",
      # "deviated", "finished", "basis", "apart" (value: { "places" }), "together" (value: { "because" });
      # "deviation_resolved" (value: step key). by: name of who did it, or nil -> id of the event
      def record_event(id, kind, value = nil, at:, by: nil)
        @database[:job_events].insert(
          job_id: id,
          kind:,
          value: value.is_a?(Hash) ? JSON.generate(value) : value,
          recorded_at: at,
          done_by: by
        )
      end

      # Raises NotFound.
      def find(id)
        row = @database[:jobs].first(id:) or raise NotFound, Message.of("missing.job")
        records([row]).first
      end

      # The state a cancelled job was in.
      def state_before_drop(id)
        events = @database[:job_events].where(job_id: id).order(:id).all
        state(events.take(events.rindex { |event| event[:kind] == "cancelled" }))
      end

      # Jobs that began with any of these axles, oldest first.
      def of(axle_ids) = records(@database[:jobs].where(axle_id: axle_ids).order(:id).all)

      private

      def records(rows)
        events =
          @database[:job_events]
            .where(job_id: rows.map { |row| row[:id] })
            .order(:id)
            .all
            .group_by { |row| row[:job_id] }
        rows.map { |row| record(row, events.fetch(row[:id], [])) }
      end

      def record(row, events)
        by_kind = Hash.new { [] }.merge(events.group_by { |event| event[:kind] })
        planned = by_kind["planned"].last&.fetch(:value)
        fields = {
          planned_for: planned && Date.iso8601(planned),
          state: state(events),
          ticked: ticked(events),
          plan_edits: plan_edits(events),
          closed: closed(by_kind)
        }
        said = {
          scope: newest(by_kind["scope"]),
          quote: newest(by_kind["quoted"]),
          ready_because: parsed(by_kind["ready"].last)&.fetch("because", nil)
        }
        chosen = {
          choices: merged(by_kind["chose"], "line", "supply"),
          torques: torques(by_kind["torqued"]),
          new_parts: by_kind["new_part"].to_h { |event| parsed(event).then { |part| [part["part"], part] } },
          approaches: merged(by_kind["approach"], "approach", "option").compact,
          resolved: merged(by_kind["settled"], "item", "done").select { |_, done| done }.keys
        }
        notes =
          by_kind["noted"].map do |event|
            parsed(event).merge("day" => event[:recorded_at][0, 10], "by" => event[:done_by])
          end
        Job.new(
          **row.slice(:id, :axle_id, :procedure),
          **fields,
          **said,
          **chosen,
          notes:,
          people: events.filter_map { |event| event[:done_by] }.uniq,
          ticked_by: ticked_by(events),
          deviations: deviations(events),
          resolved_deviations: by_kind["deviation_resolved"].map { |event| event[:value] },
          started_on: parsed(by_kind["in_progress"].first)&.fetch("day")&.then { |day| Date.iso8601(day) },
          answers: merged(by_kind["answered"], "step", "answer"),
          **stand(events)
        )
      end

      # The basis of the job, events since then, and what is apart.
      def stand(events)
        at = events.rindex { |event| event[:kind] == "basis" }
        last = events.reverse.find { |event| %w[apart together].include?(event[:kind]) }
        {
          basis: at && parsed(events[at]).merge("event" => events[at][:id]),
          since:
            events.drop(at ? at + 1 : 0).select { |event| DOING.include?(event[:kind]) }.map { |event| did(event) },
          apart: last && last[:kind] == "apart" ? parsed(last).fetch("places") : []
        }
      end

      def did(event) = [event[:kind], event[:kind] == "deviated" ? parsed(event).fetch("step") : event[:value]]

      def parsed(event)
        event && event[:value] && @texts.parse(event[:value])
      end

      # The newest of each bolt, in the order they were tightened.
      def torques(events)
        events
          .map { |event| parsed(event) }
          .reverse
          .uniq { |entry| entry.values_at("step", "axle", "fastener", "bolt") }
          .reverse
      end

      def newest(events) = parsed(events.last)
      def merged(events, key, value) = events.to_h { |event| parsed(event).values_at(key, value) }

      # The result recorded when the job was finished, with its day, or nil
      def closed(by_kind)
        event = by_kind["finished"].last or return
        { "day" => event[:recorded_at][0, 10], **(parsed(event) || {}) }
      end

      def ticked(events)
        events.each_with_object([]) do |event, done|
          done.delete(event[:value]) if %w[ticked unticked].include?(event[:kind])
          done << event[:value] if event[:kind] == "ticked"
          # steps undone since must be done again
          done.replace(done & parsed(event).fetch("done")) if event[:kind] == "basis"
        end
      end

      # { step key => { "person", "at" } } of steps that are done, by who did them first.
      def ticked_by(events)
        events.each_with_object({}) do |event, found|
          found.delete(event[:value]) if event[:kind] == "unticked"
          (done = parsed(event).fetch("done")) && found.select! { |step, _| done.include?(step) } if event[:kind] ==
            "basis"
          next unless event[:kind] == "ticked" && event[:done_by]

          found[event[:value]] ||= { "person" => event[:done_by], "at" => event[:recorded_at] }
        end
      end

      # { step key => { "because", "text", "day" } }; removed when the step is ticked or unticked.
      def deviations(events)
        events.each_with_object({}) do |event, found|
          found.delete(event[:value]) if %w[ticked unticked].include?(event[:kind])
          (done = parsed(event).fetch("done")) && found.select! { |step, _| done.include?(step) } if event[:kind] ==
            "basis"
          next unless event[:kind] == "deviated"

          said = parsed(event)
          found[said["step"]] = said.slice("because", "text").merge("day" => event[:recorded_at][0, 10])
        end
      end

      # { event id => plan_edit }
      def plan_edits(events)
        events.each_with_object({}) do |event, found|
          found[event[:id]] = plan_edit(parsed(event)) if event[:kind] == "adjusted"
          found.delete(parsed(event)["event"]) if event[:kind] == "unadjusted"
        end
      end

      # Events of version 0.1 call the action a deed.
      def plan_edit(value) = value.transform_keys { |key| key == "deed" ? "action" : key }

      def state(events) = events.reverse.find { |event| STATES.include?(event[:kind]) }&.fetch(:kind) || "draft"
    end
  end
end
