# frozen_string_literal: true

require "json_schemer"
require "yaml"

module Graver
  module Knowledge
    # Reads the files under knowledge/ and checks each against its schema. Every fault of every file is reported, but a
    # file that can't be parsed is named alone.
    class Files
      SCHEMA = "schema/knowledge.yml"
      # As YAML 1.1 has it (yaml.org/type/bool), but y and n, which Ruby reads as texts.
      BOOLEAN = /\A(?:yes|no|on|off|true|false)\z/i

      def initialize(folder)
        @folder = folder
        @trees = {}
      end

      # -> { "calipers.yml" => parsed content, ... }, frozen. Raises KnowledgeError naming file and place.
      def read
        schema = parse(SCHEMA)
        contents = schema.fetch("files").keys.to_h { |name| [name, parse(name)] }
        rules = JSONSchemer.schema(schema)
        faults =
          contents.flat_map { |name, content| faults(name, content, rules.ref("#/files/#{name.gsub("/", "~1")}")) }
        raise KnowledgeError, faults.join("\n") if faults.any?

        contents.freeze
      end

      # The line of an entry (by id, key or place in a mapping) in a file, for messages; 1 if there is none.
      def line_of(name, id)
        found = named(tree(name), id)
        found ? found.start_line + 1 : 1
      end

      private

      def parse(name)
        YAML.safe_load_file(File.join(@folder, name))
      rescue Psych::SyntaxError => e
        raise KnowledgeError, "#{name}:#{e.line}: #{e.problem}"
      rescue Errno::ENOENT
        raise KnowledgeError, "#{name}: the file is missing"
      end

      def faults(name, content, checker)
        # finding what is wrong takes longer than finding out whether anything is
        found = checker.valid?(content) ? [] : checker.validate(content)
        found.map { |fault| "#{place(name, fault["data_pointer"])}: #{fault["error"]}" } +
          misread(tree(name)).map { |node| said(name, node) }
      end

      # Names that YAML takes for something else: off, no and yes are booleans unless they are quoted.
      def misread(node)
        names = pairs(node).flat_map { |key, value| key.value == "id" ? [key, value] : [key] }
        names.select { |name| name.scalar? && !name.quoted && BOOLEAN.match?(name.value) } +
          (node.children || []).flat_map { |child| misread(child) }
      end

      def said(name, node) = "#{name}:#{node.start_line + 1}: #{node.value}: quote it, or it is read as true or false"

      # "cautions.yml:14: hot", from a pointer such as "/3/severity"
      def place(name, pointer)
        node = tree(name)
        ids = []
        pointer
          .split("/")
          .drop(1)
          .each do |step|
            node = step_into(node, step) or break
            ids << pairs(node).find { |key, _| %w[id key].include?(key.value) }&.last&.value
          end
        ["#{name}:#{(node&.start_line || 0) + 1}", ids.compact.last].compact.join(": ")
      end

      def step_into(node, step)
        node.sequence? ? node.children[step.to_i] : pairs(node).find { |key, _| key.value == step }&.last
      end

      def tree(name) = @trees[name] ||= Psych.parse_file(File.join(@folder, name)).root

      def pairs(node) = node.mapping? ? node.children.each_slice(2).to_a : []

      def named(node, id)
        pairs(node).each do |key, value|
          return node if %w[id key source].include?(key.value) && value.scalar? && value.value == id
          return key if key.value == id
        end
        (node.children || []).each { |child| (found = named(child, id)) && (return found) }
        nil
      end
    end
  end
end
