# frozen_string_literal: true

require "json_schemer"
require "yaml"

module Graver
  module Knowledge
    # Reads the files under knowledge/ and checks each against its schema; every fault of every file is reported at
    # once.
    class Files
      SCHEMA = "schema/knowledge.yml"

      def initialize(folder)
        @folder = folder
      end

      # -> { "calipers.yml" => parsed content, ... }, frozen. Raises KnowledgeError naming file and place.
      def read
        schema = parse(SCHEMA)
        contents = schema.fetch("files").keys.to_h { |name| [name, parse(name)] }
        faults = contents.flat_map { |name, content| faults(name, content, schema) }
        raise KnowledgeError, faults.join("\n") if faults.any?

        contents.freeze
      end

      # Line of the entry with this id in a file's list, for messages.
      def line_of(name, id)
        entries = Psych.parse_file(File.join(@folder, name)).root.children
        entry =
          entries.find do |node|
            node.children.each_slice(2).any? { |key, value| key.value == "id" && value.value == id }
          end
        entry ? entry.start_line + 1 : 1
      end

      private

      def parse(name)
        YAML.safe_load_file(File.join(@folder, name))
      rescue Psych::SyntaxError => e
        raise KnowledgeError, "#{name}:#{e.line}: #{e.problem}"
      rescue Errno::ENOENT
        raise KnowledgeError, "#{name}: the file is missing"
      end

      def faults(name, content, schema)
        require "json_schemer"
        checker = JSONSchemer.schema(schema.fetch("files").fetch(name).merge("$defs" => schema.fetch("$defs")))
        checker.validate(content).map { |fault| "#{name}: #{fault["error"]}" }
      end
    end
  end
end
