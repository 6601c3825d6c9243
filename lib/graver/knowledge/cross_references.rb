# frozen_string_literal: true

module Graver
  module Knowledge
    # What one file says of another: every id that is named must exist, and every procedure must be possible.
    class CrossReferences
      # lines: callable (file, id) -> line number
      def initialize(contents, procedure, lines)
        @contents = contents
        @lines = lines
        @procedure_steps = procedure.steps.map(&:id)
        @steps = StepReferences.new(contents, procedure, lines)
      end

      # Raises KnowledgeError with every dangling name.
      def check
        faults =
          sources + brake_data + inspection + questions + scope + marks + symptoms + tools + drawing + @steps.faults
        faults += templates if faults.empty?
        raise KnowledgeError, faults.join("\n") if faults.any?
      end

      private

      # "tools.yml:31:"
      def at(file, id) = "#{file}:#{@lines.call(file, id)}:"

      def sources
        known = @contents.fetch("sources.yml").keys
        @contents.flat_map do |name, content|
          (named_sources(content) - known).map { |id| "#{at(name, id)} source “#{id}” is not in sources.yml" }
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
          # a field of a fastener is written once, for all of them
          written = field["fastener"] ? field["key"].split(".").last : field["key"]
          missing.map { |what| "#{at("brake_data.yml", written)} #{field["key"]} names #{what}, which is not there" }
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

      # A template obeys the same rules as an entry of the owner's.
      def templates
        catalogue =
          BrakeDataCatalogue.new(@contents.fetch("brake_data.yml"), calipers, fasteners, @contents.fetch("threads.yml"))
        calipers.flat_map do |caliper|
          caliper.template.filter_map do |entry|
            catalogue.check(entry["key"], entry["value"], entry["unit"], "typical", caliper.vehicles.first)
            if catalogue.field(entry["key"]).quantity == "torque"
              "#{at("calipers.yml", caliper.id)} #{caliper.id}: a template gives no torque"
            end
          rescue InvalidEntry => e
            "#{at("calipers.yml", caliper.id)} #{caliper.id}: #{entry["key"]}: #{e.message}"
          end
        end
      end

      # What is offered at a wheel must be readable by the method offered first.
      def inspection
        methods = @contents.fetch("measurement.yml").fetch("methods")
        positions = @contents.fetch("inspection.yml").fetch("positions")
        positions.filter_map do |id, position|
          method, part = position.values_at("method", "part")
          next if methods[method]&.key?(part)

          "#{at("inspection.yml", id)} #{id}: #{method} reads no #{part}"
        end
      end

      def questions
        rules = @contents.fetch("rules/questions.yml")
        rules
          .slice("readings", "odometer")
          .values
          .flat_map(&:to_a)
          .flat_map do |id, question|
            missing("rules/questions.yml", id, "answer", question.fetch("answers") - rules.fetch("answers").keys)
          end
      end

      def known_choices = @contents.fetch("brake_data.yml").fetch("choices").keys + ["calipers"]
      def ids(file) = @contents.fetch(file).map { |entry| entry.fetch("id") }

      # Brake data the scope and the parts speak of, works that bring each other, and marks that works answer.
      def scope
        scope = @contents.fetch("rules/scope.yml")
        missing_data("rules/scope.yml", "always_decides", scope.fetch("always_decides")) +
          works.flat_map { |work| work_faults(work) } +
          @contents.fetch("parts.yml").flat_map { |part| part_faults(part) }
      end

      def works = @contents.fetch("rules/scope.yml").fetch("works")

      def work_faults(work)
        file, id = "rules/scope.yml", work["id"]
        missing_data(file, id, work.fetch("asks") + work.fetch("decides", [])) +
          missing_works(file, id, work.fetch("companions", [])) + missing_marks(file, id, work.fetch("answers", []))
      end

      def part_faults(part)
        data = part.fetch("matches", {}).values.map { |match| match["key"] }
        missing_data("parts.yml", part["id"], data) +
          missing_works("parts.yml", part["id"], part["work"] + part.fetch("not_work", []))
      end

      # What rotors are judged by.
      def marks
        @contents
          .fetch("rules/rotor.yml")
          .fetch("conditions")
          .flat_map { |rule| missing_marks("rules/rotor.yml", rule["id"], rule.values_at("mark", "felt").compact) }
      end

      # A symptom's outcome and its mark must have the same name and severity.
      def symptoms
        noted = @contents.dig("conditions.yml", "vehicle").find { |item| item["id"] == "symptom" }.fetch("marks")
        by_id = noted.to_h { |mark| [mark["id"], mark["severity"] || "good"] }
        outcomes = @contents.fetch("rules/symptoms.yml").fetch("symptoms").flat_map { |each| each.fetch("outcomes") }
        outcomes
          .reject { |outcome| by_id[outcome["mark"]] == outcome["severity"] }
          .map { |outcome| "rules/symptoms.yml: mark #{outcome["mark"]} is not as grave in conditions.yml" }
      end

      def missing_data(file, id, keys) = missing(file, id, "brake data", keys - fields.map { |field| field["key"] })
      def missing_works(file, id, named) = missing(file, id, "work", named - known_works)
      def missing_marks(file, id, named) = missing(file, id, "mark", named - known_marks)

      def missing(file, id, what, names)
        names.map { |name| "#{at(file, id)} #{id}: #{what} #{name} is not there" }
      end

      # Facts, steps, brake data, fasteners and words that the drawn parts name.
      def drawing
        known = drawing_names
        @contents
          .fetch("drawing.yml")
          .flat_map do |part|
            known.flat_map { |key, (what, ids)| missing("drawing.yml", part["id"], what, [*part[key]] - ids) }
          end
      end

      def drawing_names
        facts = ["fact", ids("procedures/facts.yml")]
        {
          "off_when" => facts,
          "kept_by" => facts,
          "shown" => facts,
          "carried_by" => ["part", ids("drawing.yml")],
          "fastener" => ["fastener", ids("fasteners.yml")],
          "fields" => ["brake data", fields.map { |field| field["key"] }],
          "term" => ["word", @contents.fetch("glossary.yml").fetch("terms").map { |term| term["id"] }],
          "steps" => ["step", @procedure_steps],
          "found" => [
            "mark or topic",
            known_marks + @contents.fetch("rules/findings.yml").fetch("rules").map { |rule| rule["topic"] }
          ]
        }
      end

      def known_works = works.flat_map { |work| [work["id"], *work["means"]] }

      def known_marks
        @contents
          .fetch("conditions.yml")
          .values_at("wheel", "vehicle")
          .flatten
          .flat_map { |item| [item["id"], *item["marks"].map { |mark| "#{item["id"]}.#{mark["id"]}" }] }
      end

      def tools
        drives = @contents.fetch("brake_data.yml").dig("choices", "drives").keys
        @contents
          .fetch("tools.yml")
          .flat_map do |tool|
            missing = (tool.fetch("instead", []) - ids("tools.yml")) + (tool.fetch("covers", []) - drives)
            missing.map { |id| "#{at("tools.yml", tool["id"])} #{tool["id"]} names #{id}, which is not there" }
          end
      end
    end
  end
end
