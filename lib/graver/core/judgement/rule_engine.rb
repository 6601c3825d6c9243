# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Tries a table of rules from the top. The first match gives the severity; all matches of that severity are
      # reasons.
      class RuleEngine
        Judgement = Value.define(:severity, :rules)

        def initialize(rules) = @rules = rules.freeze

        # Ids of all rules that match, whatever their severity.
        def holding(measures) = @rules.select { |rule| rule.holds?(measures) }.map(&:id)

        # measures: { "pad_due_chance" => 0.3, ... }, nil if unknown -> Judgement, or nil if no rule matches.
        def call(measures)
          held = @rules.select { |rule| rule.holds?(measures) }
          return if held.empty?

          severity = held.first.severity
          Judgement.new(severity:, rules: held.select { |rule| rule.severity == severity })
        end
      end
    end
  end
end
