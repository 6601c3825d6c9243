# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A rule of knowledge/rules/findings.yml; texts have {tokens} of measures. thresholds: all must hold.
      FindingRule =
        Value.define(
          :id,
          :scope,
          :group,
          :topic,
          :severity,
          :pattern,
          :thresholds,
          :title,
          :sentence,
          :reading,
          :limit,
          :change,
          :advice,
          :confidence,
          :source
        ) { def holds?(measures) = thresholds.all? { |threshold| threshold.holds?(measures) } }
    end
  end
end
