# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Tries a table of rules from the top. The first that holds gives the severity; all of that severity that hold
      # are reasons.
      class RuleEngine
        Judgement = Value.define(:severity, :rules)

        def initialize(rules) = @rules = rules.freeze

        # Ids of all rules that hold, whatever their severity.
        def holding(measures) = @rules.select { |rule| rule.holds?(measures) }.map(&:id)

        # measures: { "pad_due_chance" => 0.3, ... }; a measure that is nil is not known -> Judgement, or nil if none
        # holds.
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
