# frozen_string_literal: true

module Graver
  # The owner's own words of the trade, where Graver's are others: "disc" for "rotor". Done where a text leaves Graver,
  # so that nothing on file depends on it.
  #
  #   Vocabulary.new("rotor" => "disc").call("Rotors and pads") # => "Discs and pads"
  class Vocabulary
    CHOICES = { "rotor" => %w[rotor disc] }.freeze
    USUAL = CHOICES.transform_values(&:first).freeze
    # A string of JSON, and whether it is a key.
    STRING = /"((?:[^"\\]|\\.)*)"(:)?/
    # Ids have neither a blank nor a capital; a label is no id.
    SENTENCE = /\s|\A[A-Z]/

    # chosen: { Graver's word => the owner's }
    def initialize(chosen = USUAL)
      @others = chosen.reject { |word, own| word == own }
      @pattern = /\b(#{@others.keys.flat_map { |word| [word, word.capitalize] }.join("|")})(s?)\b/
    end

    # { Graver's word => the owner's }, of those that differ
    attr_reader :others

    def usual? = others.empty?

    # text, or whatever else, which stays as it is
    def call(text)
      return text if usual? || !text.is_a?(String)

      text.gsub(@pattern) do
        word, plural = Regexp.last_match(1), Regexp.last_match(2)
        own = @others.fetch(word.downcase)
        "#{word == word.downcase ? own : own.capitalize}#{plural}"
      end
    end

    # The same of every sentence in JSON; keys, ids and names that are the owner's own stay.
    def json(text)
      return text if usual?

      key = nil
      text.gsub(STRING) do |found|
        value, of = Regexp.last_match(1), key
        key = Regexp.last_match(2) && value
        id = of != "label" && !value.match?(SENTENCE)
        key || of == "name" || id ? found : %("#{call(value)}")
      end
    end
  end
end
