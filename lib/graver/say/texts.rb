# frozen_string_literal: true

require "yaml"

module Graver
  module Say
    # Graver's own texts: those of knowledge/messages/en.yml, their tokens filled in by type.
    #
    #   Texts.t("faults.between", least: 0.1, most: 200) # => "Enter a value from 0.1 to 200."
    #
    # Raises KeyError for a text or token that is not there.
    module Texts
      FILE = File.expand_path("../../../knowledge/messages/en.yml", __dir__)
      TOKEN = /\{(\w+)(?::(\w+))?\}/
      PLURAL = /\{(\w+)\|([^|}]*)\|([^}]*)\}/
      TYPES = {
        "text" => ->(value, _) { value.to_s },
        "date" => ->(value, _) { Formats.day(value) },
        "near" => ->(value, _) { Formats.near_day(value.is_a?(String) ? Date.iso8601(value) : value) },
        "number" => ->(value, _) { Formats.number(value) },
        "signed" => ->(value, _) { format("%+.3g", value.round(3)) },
        "mm" => ->(value, _) { Lengths.exact(value) },
        "bare_mm" => ->(value, _) { Lengths.bare(value) },
        "pad_limit_mm" => ->(value, _) { Lengths.call(value, "pad", bound: true) },
        "pad_mm" => ->(value, _) { Lengths.call(value, "pad") },
        "rotor_mm" => ->(value, _) { Lengths.call(value, "rotor", digits: 2) },
        "fine_mm" => ->(value, _) { Lengths.call(value, "rotor", digits: 3) },
        "ml" => ->(value, _) { Formats.volume(value) },
        "temperature" => ->(value, _) { Formats.temperature(value) },
        "distance" => ->(value, unit) { Formats.distance(value, unit) },
        "list" => ->(value, _) { Formats.list(value, "or") },
        "all" => ->(value, _) { Formats.list(value, "and") },
        "semicolons" => ->(value, _) { value.join("; ") },
        "part" => ->(value, _) { part(value) }
      }.freeze

      module_function

      # unit: the owner's, for distances.
      def t(key, unit: "km", **tokens)
        plain =
          all
            .fetch(key)
            .gsub(PLURAL) do
              tokens.fetch(Regexp.last_match(1).to_sym) == 1 ? Regexp.last_match(2) : Regexp.last_match(3)
            end
        # The only axle of a trailer needs no name.
        nameless = tokens[:axle].to_s.casecmp?("single")
        plain = plain.gsub(/\{axle\}:? /, "") if nameless
        said =
          plain.gsub(TOKEN) do
            name, type = Regexp.last_match(1).to_sym, Regexp.last_match(2) || "text"
            TYPES.fetch(type).call(name == :unit ? tokens.fetch(:unit, unit) : tokens.fetch(name), unit)
          end
        Typography.tied(nameless && tokens[:axle] == "Single" ? upper_first(said) : said)
      end

      # A part in words, by its name in the log: "rotors" is "rotors" or "discs", "left rotor" too.
      def part(name)
        name.to_s.gsub(/\b(?:rotors?|brake_shoes?|shoe)\b/) { all.fetch("part_names.#{Regexp.last_match(0)}") }
      end

      # { "faults.between" => "Enter ...", ... } in the English of this thread
      def all = ALL.fetch(Spoken.english)

      def upper_first(text) = text.sub(/\A[[:alpha:]]/, &:upcase)

      def flat(texts, prefix = nil)
        texts.each_with_object({}) do |(key, text), found|
          name = [prefix, key].compact.join(".")
          text.is_a?(Hash) ? found.update(flat(text, name)) : found[name] = text.freeze
        end
      end

      ALL =
        English::ALL.to_h { |english| [english, flat(English.put(YAML.safe_load_file(FILE), english)).freeze] }.freeze

      private_class_method :flat, :upper_first
    end
  end
end
