# frozen_string_literal: true

module Graver
  module Knowledge
    # What one file says of another: every id that is named must exist, and every procedure must be possible.
    class CrossReferences
      # lines: callable (file, id) -> line number
      def initialize(contents, procedure, lines)
        @contents = contents
        @steps = StepReferences.new(contents, procedure, lines)
      end

      # Raises KnowledgeError with every dangling name.
      def check
        faults = sources + brake_data + questions + scope + marks + tools + @steps.faults
        faults += templates if faults.empty?
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
        when Hash
          content.flat_map { |key, value| key == "source" && value.is_a?(String) ? [value] : named_sources(value) }
        when Array
          content.flat_map { |value| named_sources(value) }
        else
          []
        end
      end

      def brake_data
        data = @contents.fetch("brake_data.yml")
        fields.flat_map do |field|
          missing = []
          missing << "group #{field["group"]}" unless data.fetch("groups").key?(field["group"])
          missing << "choices #{field["choices"]}" if field["choices"] && !known_choices.include?(field["choices"])
          if field["fastener"] && !ids("fasteners.yml").include?(field["fastener"])
            missing << "fastener #{field["fastener"]}"
          end
          missing += (field.fetch("needed_for") - data.fetch("needs").keys).map { |need| "need #{need}" }
          missing.map { |what| "brake_data.yml: #{field["key"]} names #{what}, which is not there" }
        end
      end

      def fields
        data = @contents.fetch("brake_data.yml")
        data.fetch("fields") + FastenerFields.call(data.fetch("fastener_fields"), fasteners)
      end

      def fasteners
        @contents.fetch("fasteners.yml").map { |written| Core::Planning::Fastener.from(written) }
      end

      def calipers
        @contents.fetch("calipers.yml").map { |written| Core::Planning::Caliper.from(written) }
      end

      # A template fills in what a brake data entry would be refused for just as little.
      def templates
        catalogue =
          BrakeDataCatalogue.new(@contents.fetch("brake_data.yml"), calipers, fasteners, @contents.fetch("threads.yml"))
        calipers.flat_map do |caliper|
          caliper.template.filter_map do |entry|
            catalogue.check(entry["key"], entry["value"], entry["unit"], "typical", caliper.vehicles.first)
            if catalogue.field(entry["key"]).quantity == "torque"
              "calipers.yml: #{caliper.id}: a template gives no torque"
            end
          rescue InvalidEntry => e
            "calipers.yml: #{caliper.id}: #{entry["key"]}: #{e.message}"
          end
        end
      end

      def questions
        rules = @contents.fetch("rules/questions.yml")
        rules
          .slice("readings", "odometer")
          .values
          .flat_map(&:values)
          .flat_map { |question| question.fetch("answers") - rules.fetch("answers").keys }
          .uniq
          .map { |id| "rules/questions.yml: answer #{id} is not there" }
      end

      def known_choices = @contents.fetch("brake_data.yml").fetch("choices").keys + ["calipers"]
      def ids(file) = @contents.fetch(file).map { |entry| entry.fetch("id") }

      # Brake data the scope and the parts speak of, and works that bring each other.
      def scope
        works = @contents.fetch("rules/scope.yml").fetch("works")
        keys =
          works.flat_map { |work| work.fetch("asks") + work.fetch("decides", []) } +
            @contents.fetch("rules/scope.yml").fetch("always_decides")
        keys +=
          @contents.fetch("parts.yml").flat_map { |part| part.fetch("matches", {}).values.map { |match| match["key"] } }
        known = fields.map { |field| field["key"] }
        known_works = works.flat_map { |work| [work["id"], *work["means"]] }
        named =
          @contents.fetch("parts.yml").flat_map { |part| part["work"] + part.fetch("not_work", []) } +
            works.flat_map { |work| work.fetch("companions", []) }
        missing =
          (keys.uniq - known).map { |key| "brake data #{key} are not there" } +
            (named.uniq - known_works).map { |work| "work #{work} is not there" }
        missing.map { |what| "rules/scope.yml or parts.yml: #{what}" }
      end

      # Marks that works answer and rotors are judged by.
      def marks
        conditions = @contents.fetch("conditions.yml")
        known =
          (conditions["wheel"] + conditions["vehicle"]).flat_map do |item|
            [item["id"], *item["marks"].map { |mark| "#{item["id"]}.#{mark["id"]}" }]
          end
        named = @contents.fetch("rules/scope.yml").fetch("works").flat_map { |work| work.fetch("answers", []) }
        named +=
          @contents
            .fetch("rules/rotor.yml")
            .fetch("conditions")
            .flat_map { |rule| rule.values_at("mark", "felt").compact }
        (named.uniq - known).map { |mark| "rules/scope.yml or rotor.yml: mark #{mark} is not there" }
      end

      def tools
        drives = @contents.fetch("brake_data.yml").dig("choices", "drives").keys
        @contents
          .fetch("tools.yml")
          .flat_map do |tool|
            missing = (tool.fetch("instead", []) - ids("tools.yml")) + (tool.fetch("covers", []) - drives)
            missing.map { |id| "tools.yml: #{tool["id"]} names #{id}, which is not there" }
          end
      end
    end
  end
end
