# frozen_string_literal: true

require_relative "../core/errors"
require_relative "../core/planning/sequence"
require_relative "brake_data_catalogue"
require_relative "fastener_fields"

module Graver
  module Knowledge
    # What one file says of another: every id that is named must exist, and every procedure must be possible.
    class CrossReferences
      def initialize(contents, procedure)
        @contents = contents
        @procedure = procedure
      end

      # Raises KnowledgeError with every dangling name.
      def check
        faults = sources + brake_data + questions + steps + duplicates + stages
        faults += templates if faults.empty?
        begin
          Core::Planning::Sequence.new(@procedure).order
        rescue Core::Planning::Sequence::Impossible => e
          faults << "procedures/pads.yml: #{e.message}"
        end
        raise KnowledgeError, faults.join("\n") if faults.any?
      end

      private

      def sources
        known = @contents.fetch("sources.yml").keys
        @contents.flat_map do |name, content|
          (named_sources(content) - known).map { |id| "#{name}: source “#{id}” is not in sources.yml" }
        end
      end

      def named_sources(content)
        case content
        when Hash then content.flat_map { |key, value| key == "source" && value.is_a?(String) ? [value] : named_sources(value) }
        when Array then content.flat_map { |value| named_sources(value) }
        else []
        end
      end

      def brake_data
        data = @contents.fetch("brake_data.yml")
        fields.flat_map do |field|
          missing = []
          missing << "group #{field["group"]}" unless data.fetch("groups").key?(field["group"])
          missing << "choices #{field["choices"]}" if field["choices"] && !known_choices.include?(field["choices"])
          missing << "fastener #{field["fastener"]}" if field["fastener"] && !ids("fasteners.yml").include?(field["fastener"])
          missing += (field.fetch("needed_for") - data.fetch("needs").keys).map { |need| "need #{need}" }
          missing.map { |what| "brake_data.yml: #{field["key"]} names #{what}, which is not there" }
        end
      end

      def fields
        data = @contents.fetch("brake_data.yml")
        data.fetch("fields") + FastenerFields.call(data.fetch("fastener_fields"), @contents.fetch("fasteners.yml"))
      end

      # A template fills in what a brake data entry would be refused for just as little.
      def templates
        catalogue = BrakeDataCatalogue.new(@contents.fetch("brake_data.yml"), @contents.fetch("calipers.yml"), @contents.fetch("fasteners.yml"))
        @contents.fetch("calipers.yml").flat_map do |caliper|
          caliper.fetch("template").filter_map do |entry|
            catalogue.check(entry["key"], entry["value"], entry["unit"], "typical", caliper["vehicles"].first)
            "calipers.yml: #{caliper["id"]}: a template gives no torque" if catalogue.field(entry["key"])["quantity"] == "torque"
          rescue InvalidEntry => e
            "calipers.yml: #{caliper["id"]}: #{entry["key"]}: #{e.message}"
          end
        end
      end

      def questions
        rules = @contents.fetch("rules/questions.yml")
        rules.slice("readings", "odometer").values.flat_map(&:values).flat_map { |question| question.fetch("answers") - rules.fetch("answers").keys }.uniq
             .map { |id| "rules/questions.yml: answer #{id} is not there" }
      end

      def known_choices = @contents.fetch("brake_data.yml").fetch("choices").keys + ["calipers"]
      def ids(file) = @contents.fetch(file).map { |entry| entry.fetch("id") }

      def steps
        known = { fasteners: ids("fasteners.yml"), tighten: ids("fasteners.yml"), tools: @contents.fetch("tools.yml").keys,
                  consumables: ids("consumables.yml"), cautions: ids("cautions.yml"), calipers: ids("calipers.yml") }
        @procedure.steps.flat_map do |step|
          named = step.to_h.merge(calipers: step.conditions.fetch("calipers", []))
          known.flat_map { |kind, all| (named.fetch(kind) - all).map { |id| "procedures/pads.yml: step #{step.id} names #{kind} #{id}, which is not there" } }
        end
      end

      def duplicates
        repeated = @procedure.steps.map(&:id).tally.select { |_, times| times > 1 }.keys
        repeated.map { |id| "procedures/pads.yml: step #{id} stands twice" }
      end

      # Stages are worked one after the other, so a need may only point back.
      def stages
        rank = @procedure.stages.keys.each_with_index.to_h
        @procedure.steps.flat_map do |step|
          next ["procedures/pads.yml: step #{step.id} is in stage #{step.stage}, which is not there"] unless rank.key?(step.stage)

          late = step.needs.filter_map { |id| @procedure.step(id) }.select { |need| rank.fetch(need.stage, 0) > rank.fetch(step.stage) }
          late.map { |need| "procedures/pads.yml: step #{step.id} needs #{need.id}, which is in a later stage" }
        end
      end
    end
  end
end
