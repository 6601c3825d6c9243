# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # What a job leaves in the log: fitted parts, marks dealt with, and the sets that ended with it.
      class JobOutcome
        # Marks of things that do not move as they should, and the one that says that they do again.
        STUCK = {
          "slide_pins" => %w[stiff seized],
          "piston" => %w[sticky stuck],
          "cylinder" => %w[sticky stuck],
          "expander" => %w[stiff seized]
        }.freeze
        FREE = %w[free dry].freeze
        # Works that renew them.
        RENEWED_BY = {
          "slide_pins" => %w[pins caliper],
          "piston" => %w[caliper],
          "cylinder" => %w[cylinders],
          "expander" => %w[expanders]
        }.freeze

        # plan: JobPlan::Plan; gone: ids of symptoms that its owner says are gone
        def initialize(context, plan, gone: [])
          @context = context
          @plan = plan
          @gone = gone
        end

        # Rows for the log: fluid renewed, marks the work answered, pins made free, symptoms that are gone.
        def answered
          axles = @plan.scope.included
          renewed = axles.filter_map { |axle| fluid(axle) }
          symptoms = @plan.symptoms.select { |seen| @gone.include?(seen.mark.id) }
          renewed + axles.flat_map { |axle| marks(axle) + freed(axle) }.uniq + symptoms.map { |seen| row(seen) }
        end

        # What was done to an axle's fluid: renewed, or only bled.
        def fluid(axle)
          bled = @plan.ordered.lifts.flat_map(&:bleeding).any? { |corner| corner.axle == axle.name }
          event = axle.works.include?(Fluid::NEW_FLUID) ? "renewed" : "bled"
          { event:, part: "fluid", axle_id: axle.file.axle.id } if bled || event == "renewed"
        end

        # The sets that end here: [{ axle:, part:, life_km:, last_mm:, last_on: }], nil where unknown.
        def ended(odometer_km)
          FittedParts.of(@plan).select { |fit| fit.event == "fit" }.map { |fit| set(fit, odometer_km) }
        end

        private

        # Current marks that a work has dealt with in their place: a left-out step deals with none.
        def marks(axle)
          axle
            .overview
            .seen
            .select(&:severity)
            .select { |seen| answering(axle, seen).any? { |work| done?(work, axle.name, seen.side) } }
            .map { |seen| row(seen) }
        end

        def answering(axle, seen)
          @context.knowledge.scope_rules.answering([seen.item.id, "#{seen.item.id}.#{seen.mark.id}"], axle.works)
        end

        # Was a work done at this wheel?
        def done?(work, axle, side)
          steps = @context.knowledge.work(work).begun_by
          return true if steps.empty?

          sides = side ? [side, "both"] : %w[left right both]
          done = @plan.job&.done || []
          steps.product(sides).any? { |step, at| done.include?("#{axle}.#{at}.#{step}") }
        end

        def row(seen)
          part = "#{seen.item.id}.#{seen.mark.id}"
          { event: "answered", axle_id: seen.axle_id, side: seen.side, part: }.compact
        end

        # What had been stuck wears otherwise from here on: once it was marked as free again, or was renewed.
        def freed(axle)
          sides = before(axle).select { |seen| moves_again?(axle, seen) }.map(&:side)
          sides.uniq.map { |side| { event: "freed", axle_id: axle.file.axle.id, part: "pad", side: } }
        end

        # Marks that stood when the job began.
        def before(axle)
          earlier = @plan.overview.inspections.reject { |inspection| mine?(inspection) }
          Overview::CurrentConditions
            .new(@context.knowledge)
            .call(earlier)
            .select { |seen| seen.axle_id == axle.file.axle.id && STUCK.fetch(seen.item.id, []).include?(seen.mark.id) }
        end

        def moves_again?(axle, seen)
          renewed = RENEWED_BY.fetch(seen.item.id) & axle.works
          return true if renewed.any? { |work| done?(work, axle.name, seen.side) }

          @plan.overview.inspections.any? do |inspection|
            mine?(inspection) &&
              inspection.conditions.any? { |each| same_thing?(each, seen) && FREE.include?(each.mark) }
          end
        end

        def same_thing?(condition, seen)
          condition.to_h.values_at(:axle_id, :side, :item) == [seen.axle_id, seen.side, seen.item.id]
        end

        def mine?(inspection) = !@plan.job.nil? && inspection.job_id == @plan.job.id

        def set(fit, odometer_km)
          positions = fit.part == "pad" ? fit.sides.product(fit.file.pads) : fit.sides.zip
          mine = positions.map { |side, pad| fit.file.since_fit(fit.part, side, pad) }
          last_mm, last_on = thinnest(fit, mine)
          fitted_km = mine.filter_map { |entries| entries.first.odometer_km if entries.first&.renewal? }.max
          {
            axle: fit.file.axle.name,
            part: fit.file.part_name(fit.part),
            life_km: fitted_km && (odometer_km - fitted_km).round,
            last_mm: last_mm&.round(2),
            last_on: last_on&.iso8601
          }
        end

        # The thinnest of each position's last reading, and its day.
        def thinnest(fit, positions)
          last = positions.filter_map { |entries| entries.reverse.find { |entry| entry.reading && !entry.renewal? } }
          last.map { |entry| [mm(fit, entry), entry.date] }.min_by(&:first)
        end

        def mm(fit, entry) = @context.knowledge.normalise.call(entry.reading, fit.file.part(fit.part)).value_mm
      end
    end
  end
end
