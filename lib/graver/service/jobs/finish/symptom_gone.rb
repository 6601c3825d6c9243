# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # A symptom that can come from any axle is gone only once the part behind it was inspected on all of them.
      class SymptomGone
        # plan: JobPlan::Plan
        def initialize(plan)
          @axles = plan.overview.axles.map(&:file)
          @inspections = plan.overview.inspections
          @renewed = FittedParts.of(plan).map { |fit| [fit.file.axle.id, fit.part] }
          @symptoms = plan.symptoms
        end

        # said: { symptom id => gone } -> [InvalidEntry::FieldError]
        def faults(said)
          @symptoms.select { |seen| said[seen.mark.id] && seen.mark.gone_after }.filter_map { |seen| fault(seen) }
        end

        private

        def fault(seen)
          axles = @axles.reject { |file| looked_at?(file, seen) }.map { |file| "#{file.axle.name} axle" }
          return if axles.empty?

          message = Message.of("jobs.look_first", symptom: seen.mark.label.capitalize, axles: axles.join(" and the "))
          InvalidEntry::FieldError.new(field: "symptoms.#{seen.mark.id}", code: "unlooked", message:)
        end

        def looked_at?(file, seen)
          part = seen.mark.gone_after
          return true if @renewed.include?([file.axle.id, part])

          rows = @inspections.select { |each| each.date >= seen.date }.flat_map { |each| rows(each, file, part) }
          file.positions.all? { |position| rows.any? { |row| here?(row, position) } }
        end

        def rows(inspection, file, part)
          read = inspection.readings.select { |row| row.axle_id == file.axle.id && row.part == part && !row.void }
          read.map { |row| [row.side, row.pad] } + faces(inspection, file, part)
        end

        def faces(inspection, file, part)
          marks = inspection.conditions.select { |each| each.axle_id == file.axle.id && each.item == part && each.mark }
          marks.map { |each| [each.side, each.face] }
        end

        def here?(row, position) = row.zip(position.split("_")).all? { |had, wanted| [nil, wanted].include?(had) }
      end
    end
  end
end
