# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # The bolts tightened in the job that wrote an entry of the log.
      class BoltsReached
        # entries: as Storage::Job#torques, of one fastener
        Line = Core::Value.define(:axle, :label, :entries)

        def initialize(context)
          @context = context
        end

        # Storage::Inspection -> [Line]
        def call(inspection)
          job = inspection.job_id && @context.store.jobs.find(inspection.job_id)
          return [] unless job&.torques&.any? && job.closed&.fetch("inspection", nil) == inspection.id

          lines = JobPlan.new(@context).torque(job).map(&:line)
          by_fastener = job.torques.group_by { |entry| entry.values_at("axle", "fastener") }
          by_fastener.map { |(axle, id), entries| Line.new(axle:, label: label(lines, axle, id), entries:) }
        end

        private

        def label(lines, axle, id)
          line = lines.find { |each| [each.axle, each.fastener] == [axle, id] }
          line&.label || @context.knowledge.fastener(id)&.label || id
        end
      end
    end
  end
end
