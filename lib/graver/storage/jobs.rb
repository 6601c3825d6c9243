# frozen_string_literal: true

require "date"
require_relative "records"
require_relative "../core/errors"

module Graver
  module Storage
    # Planned and running jobs; what happens to one is added as events and read back from them.
    class Jobs
      def initialize(database)
        @database = database
      end

      def add(axle_id:, procedure:, planned_for:, at:)
        id = @database[:jobs].insert(axle_id:, procedure:, recorded_at: at)
        record_event(id, "planned", planned_for&.iso8601, at:)
        find(id)
      end

      # kind: "planned" (value: day), "ticked" or "unticked" (value: step key), "finished", "dropped".
      def record_event(id, kind, value = nil, at:)
        @database[:job_events].insert(job_id: id, kind:, value:, recorded_at: at)
      end

      # Raises NotFound.
      def find(id)
        row = @database[:jobs].first(id:) or raise NotFound, "there is no job with this address"
        record(row, @database[:job_events].where(job_id: id).order(:id).all)
      end

      # Jobs of these axles that are neither finished nor dropped: { axle id => [Job] }.
      def open_of(axle_ids)
        rows = @database[:jobs].where(axle_id: axle_ids).order(:id).all
        events = @database[:job_events].where(job_id: rows.map { |row| row[:id] }).order(:id).all.group_by { |row| row[:job_id] }
        rows.map { |row| record(row, events.fetch(row[:id], [])) }
            .reject { |job| %w[finished dropped].include?(job.state) }.group_by(&:axle_id)
      end

      # Days on which jobs of an axle were finished.
      def finished_of(axle_id)
        events = @database[:job_events].where(job_id: @database[:jobs].where(axle_id:).select(:id), kind: "finished")
        events.select_map(:recorded_at).map { |at| Date.iso8601(at[0, 10]) }
      end

      private

      def record(row, events)
        ticked = events.each_with_object([]) do |event, done|
          done.delete(event[:value]) if %w[ticked unticked].include?(event[:kind])
          done << event[:value] if event[:kind] == "ticked"
        end
        planned = events.reverse.find { |event| event[:kind] == "planned" }&.fetch(:value)
        Job.new(**row.slice(:id, :axle_id, :procedure), planned_for: planned && Date.iso8601(planned), state: state(events, ticked), ticked:)
      end

      def state(events, ticked)
        last = events.reverse.find { |event| %w[finished dropped].include?(event[:kind]) }
        return last[:kind] if last

        ticked.any? ? "started" : "planned"
      end
    end
  end
end
