# frozen_string_literal: true

module Graver
  module Knowledge
    # Checks the steps' references to each other and to the other files: faults name file, line and step.
    class StepReferences
      # lines: callable (file, id) -> line number
      def initialize(contents, procedure, lines)
        @contents = contents
        @procedure = procedure
        @lines = lines
      end

      # -> [sentence], every fault
      def faults
        found =
          dangling + duplicates + late + one_way + unnamed_hazards + unsaid + options_that_hurt + lists_of_options +
            approaches_in_no_group
        found.empty? ? cyclic : found
      end

      private

      def at(step)
        file = ProcedureFiles.file_of(step.stage)
        "#{file}:#{@lines.call(file, step.id)}: step #{step.id}"
      end
      def ids(file) = @contents.fetch(file).map { |entry| entry.fetch("id") }

      def known
        facts = @procedure.facts.keys
        {
          needs: @procedure.steps.map(&:id),
          shows: @procedure.steps.map(&:id),
          requires: facts,
          forbids: facts,
          adds: facts,
          removes: facts,
          fasteners: ids("fasteners.yml"),
          tighten: ids("fasteners.yml"),
          tools: ids("tools.yml"),
          does: @procedure.hazards.map(&:id),
          consumables: ids("consumables.yml"),
          cautions: ids("cautions.yml"),
          calipers: ids("calipers.yml"),
          work: works,
          reads: readable,
          tells: tellable,
          approaches: approaches,
          **places
        }
      end

      # What each place can be, by the choices of its field.
      def places
        data = @contents.fetch("brake_data.yml")
        fields = data.fetch("fields").to_h { |field| [field["key"], field] }
        data
          .fetch("places")
          .except("calipers")
          .to_h do |name, place|
            choices = data.fetch("choices").fetch(fields.fetch(place["field"], {})["choices"], {})
            [name.to_sym, [*choices.keys, *place.values_at("present", "is", "otherwise").compact]]
          end
      end

      # Values on file that a step may show.
      def tellable
        @contents.fetch("brake_data.yml").fetch("fields").map { |field| field["key"] } + Core::Planning::Step::FLUID
      end

      # Values a step may ask to measure.
      def readable
        data = @contents.fetch("brake_data.yml").fetch("fields").map { |field| field["key"] }
        conditions = @contents.fetch("conditions.yml").values_at("wheel", "figures").flatten.map { |each| each["id"] }
        @contents.fetch("inspection.yml").fetch("positions").keys + conditions + data + %w[fit.pad fit.rotor fit.drum]
      end

      # Works, their meanings, and the meanings approaches add.
      def works
        named = @contents.fetch("rules/scope.yml").fetch("works")
        named.flat_map { |work| [work["id"], *work["means"]] } + options.flat_map { |_, _, option| [*option["means"]] }
      end

      # Every option as the steps name it: "bed_in.maker".
      def approaches = options.map { |kind, id, _| "#{kind}.#{id}" }

      # [[kind, id, option], ...]
      def options
        @contents
          .fetch("rules/approaches.yml")
          .fetch("job")
          .flat_map { |kind, approach| approach["options"].map { |id, option| [kind, id, option] } }
      end

      # A step has a place only for an approach each of whose options has a text; that text shows no hazard.
      def unsaid
        silent = options.reject { |_, _, option| option["says"] }.map(&:first)
        known = options.map(&:first)
        @procedure.steps.flat_map do |step|
          kinds = step.text.scan(Core::Planning::OptionTexts::TOKEN).flatten
          (kinds & silent).map { |kind| "#{at(step)} leaves a place for #{kind}, of which an option says nothing" } +
            (kinds - known).map { |kind| "#{at(step)} leaves a place for #{kind}, which is no approach" }
        end
      end

      def options_that_hurt
        options
          .product(@procedure.hazards)
          .select { |(_, _, option), hazard| option["says"] && hazard.shown_by?(option["says"]) }
          .map { |(kind, id, _), hazard| "rules/approaches.yml: #{kind}.#{id} #{hazard.label}: write a step for it" }
      end

      def approaches_in_no_group
        all = @contents.fetch("rules/approaches.yml")
        all
          .fetch("job")
          .reject { |_, approach| all.fetch("groups").key?(approach["group"]) }
          .map { |kind, approach| "rules/approaches.yml: #{kind} is of group #{approach["group"]}, which is not there" }
      end

      def lists_of_options
        known = { "uses" => ids("consumables.yml"), "means" => works, "proposes" => works }
        options.flat_map do |kind, id, option|
          known.flat_map do |list, all|
            ([*option[list]] - all).map do |name|
              "rules/approaches.yml: #{kind}.#{id} names #{list} #{name}, not there"
            end
          end
        end
      end

      def dangling
        all = known
        @procedure.steps.flat_map do |step|
          places =
            [step.conditions, step.exceptions].flat_map(&:to_a)
              .to_h { |key, _| [key.to_sym, [step.conditions[key], step.exceptions[key]].flatten.compact] }
          step
            .to_h
            .merge(places)
            .slice(*all.keys)
            .flat_map do |kind, named|
              (named - all.fetch(kind)).map { |id| "#{at(step)} names #{kind} #{id}, which is not there" }
            end
        end
      end

      def duplicates
        @procedure
          .steps
          .group_by(&:id)
          .values
          .select { |same| same.length > 1 }
          .map { |same| "#{at(same.last)} stands twice" }
      end

      # Stages are worked one after the other, so a need may only point back.
      def late
        rank = @procedure.stages.map(&:id)
        @procedure.steps.flat_map do |step|
          needs =
            step
              .needs
              .filter_map { |id| @procedure.step(id) }
              .select { |need| rank.index(need.stage) > rank.index(step.stage) }
          needs.map { |need| "#{at(step)} needs #{need.id}, which is in a later stage" }
        end
      end

      # A fact that is required but never given can never hold.
      def one_way
        given = @procedure.steps.flat_map(&:adds)
        @procedure.steps.flat_map do |step|
          (step.requires - given).map { |fact| "#{at(step)} requires #{fact}, which no step adds" }
        end
      end

      # A step whose words show a hazard names it; a hazard's facts are there.
      def unnamed_hazards
        shown =
          @procedure
            .steps
            .product(@procedure.hazards)
            .filter_map do |step, hazard|
              if hazard.shown_by?(step.text) && !step.does.include?(hazard.id)
                "#{at(step)} #{hazard.label} and does not say so (does: #{hazard.id})"
              end
            end
        facts = @procedure.hazards.flat_map { |hazard| hazard.requires + hazard.forbids } - @procedure.facts.keys
        open = @procedure.hazards.flat_map(&:requires).uniq.select { |fact| @procedure.facts[fact]&.optional }
        shown + facts.map { |fact| "procedures/hazards.yml names fact #{fact}, which is not there" } +
          open.map { |fact| "procedures/hazards.yml requires #{fact}, which is optional" }
      end

      def cyclic
        Core::Planning::Sequence.new(@procedure).order
        []
      rescue Core::Planning::Sequence::Impossible => e
        ["#{at(@procedure.step(e.steps.first))}: #{e.message}"]
      end
    end
  end
end
