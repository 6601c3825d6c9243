# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Judgement
      # One line of a rule table: holds when the measure is at least (or at most) the threshold.
      Rule = Value.define(:id, :word, :measure, :at_least, :at_most, :sentence, :source) do
        def holds?(measures)
          value = measures[measure]
          return false if value.nil?

          (at_least.nil? || value >= at_least) && (at_most.nil? || value <= at_most)
        end
      end

      # Tries a table of rules from the top. The first that holds gives the word; all of that word that hold are reasons.
      class RuleEngine
        Judgement = Value.define(:word, :rules)

        def initialize(rules) = @rules = rules.freeze

        # Ids of all rules that hold, whatever their word.
        def holding(measures) = @rules.select { |rule| rule.holds?(measures) }.map(&:id)

        # measures: { "pad_due_chance" => 0.3, ... }; a measure that is nil is not known -> Judgement, or nil if none holds.
        def call(measures)
          held = @rules.select { |rule| rule.holds?(measures) }
          return if held.empty?

          word = held.first.word
          Judgement.new(word:, rules: held.select { |rule| rule.word == word })
        end
      end
    end
  end
end
