# frozen_string_literal: true

require "date"
require_relative "axle_files"
require_relative "job_card"
require_relative "../core/errors"

module Graver
  module Service
    # Planning a job for a day, ticking its steps, finishing it.
    class Jobs
      def initialize(context)
        @context = context
        @store = context.store
      end

      # planned_for: ISO day or nil -> Storage::Job. Raises InvalidEntry, NotFound.
      def plan(axle_id, planned_for)
        file = AxleFiles.new(@context).find(axle_id)
        day = day(planned_for)
        @store.transaction { @store.jobs.add(axle_id: file.axle.id, procedure: @context.knowledge.procedure.id, planned_for: day, at: @context.now) }
      end

      # planned_for: ISO day; state: "finished" or "dropped"; either may be nil -> Storage::Job
      def change(id, planned_for: nil, state: nil)
        job = @store.jobs.find(id)
        require_gates(job) if state == "finished"
        day = planned_for && day(planned_for)
        @store.transaction do
          @store.jobs.record_event(id, "planned", day.iso8601, at: @context.now) if day
          @store.jobs.record_event(id, state, at: @context.now) if state
        end
        @store.jobs.find(id)
      end

      # step: key of a step of this job's card ("left.wheel_off", "pump") -> Storage::Job
      def tick(id, step, done)
        job = @store.jobs.find(id)
        keys = step_keys(job)
        raise InvalidEntry.of("step", "unknown_step", "this job has no such step") unless keys.include?(step)
        raise InvalidEntry.of("step", "job_closed", "this job is #{job.state}") if %w[finished dropped].include?(job.state)

        @store.transaction { @store.jobs.record_event(id, done ? "ticked" : "unticked", step, at: @context.now) }
        @store.jobs.find(id)
      end

      # Keys of a job's steps, in working order.
      def step_keys(job) = placed(job).map { |each| self.class.step_key(each) }

      def self.step_key(placed) = [placed.side, placed.step.id].compact.join(".")

      private

      def day(text)
        return if text.nil?

        Date.iso8601(text).tap do |date|
          raise InvalidEntry.of("planned_for", "out_of_range", "plan for today or a later day") if date < @context.today
        end
      rescue Date::Error
        raise InvalidEntry.of("planned_for", "not_a_day", "needs a day such as 2025-04-12")
      end

      def placed(job) = JobCard.new(@context).steps(AxleFiles.new(@context).find(job.axle_id)) || []

      # A job is not finished while a safety gate before the follow-up is open.
      def require_gates(job)
        open = placed(job).select { |each| each.step.gate && each.step.stage != "follow_up" }.reject { |each| job.ticked.include?(self.class.step_key(each)) }
        return if open.empty?

        raise InvalidEntry.of("state", "gates_open", "still to be done: #{open.map { |each| [each.side, each.step.text].compact.join(": ") }.join(" / ")}")
      end
    end
  end
end
