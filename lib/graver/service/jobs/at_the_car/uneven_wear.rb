# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Uneven pads have a cause, and new ones would wear the same way: the step that looks for it asks for the finding.
      class UnevenWear
        TOPIC = "uneven"

        def initialize(context)
          @context = context
          @knowledge = context.knowledge
        end

        # Storage::Job, PlannedStep. Raises InvalidEntry if nothing was entered yet.
        def check(job, placed)
          items = placed.step.reads & @knowledge.scope.fetch("explain_uneven")
          return if items.empty? || placed.side.nil?

          axle = axle(job, placed) or return
          found = axle.findings.find { |each| each.topic == TOPIC && each.side == placed.side } or return
          open = items.reject { |item| said?(axle, job, placed, item) }
          raise(InvalidEntry, open.map { |item| fault(found, item) }) if open.any?
        end

        private

        def axle(job, placed)
          overview = Overview::VehicleOverviews.new(@context).find_with(job.axle_id)
          overview.axles.find { |each| each.file.axle.name == placed.axle }
        end

        def said?(axle, job, placed, item)
          mine = axle.file.inspections.select { |inspection| inspection.job_id == job.id }.flat_map(&:conditions)
          wanted = [axle.file.axle.id, placed.side, item]
          mine.any? { |each| each.mark && each.to_h.values_at(:axle_id, :side, :item) == wanted }
        end

        def fault(found, item)
          label = Typography.inside(@knowledge.condition_item(item).label)
          message = Message.of("jobs.uneven_first", found: found.title, item: label)
          InvalidEntry::FieldError.new(field: "marks.#{item}", code: "missing", message:)
        end
      end
    end
  end
end
