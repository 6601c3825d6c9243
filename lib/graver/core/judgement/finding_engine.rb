# frozen_string_literal: true

require_relative "../value"

module Graver
  module Core
    module Judgement
      # One thing that must hold: the measure is at least, or at most, so much. A measure that is not known never holds.
      Threshold = Value.define(:measure, :at_least, :at_most) do
        def holds?(measures)
          value = measures[measure]
          !value.nil? && (at_least.nil? || value >= at_least) && (at_most.nil? || value <= at_most)
        end
      end

      # A rule of knowledge/rules/findings.yml; texts have {tokens} of measures. thresholds: all must hold.
      FindingRule = Value.define(:id, :scope, :group, :topic, :word, :pattern, :thresholds, :title, :sentence, :reading, :limit, :change, :advice,
                                 :confidence, :source) do
        def holds?(measures) = thresholds.all? { |threshold| threshold.holds?(measures) }
      end

      # Somewhere rules are tried: scope "position", "corner", "axle" or "vehicle"; axle_id, side, pad where they apply;
      # measures { "now_mm" => 3.6, "place" => "Left inner pad", ... }.
      Place = Value.define(:scope, :axle_id, :side, :pad, :measures)

      # Tries every rule at every place of its scope; of a group only the first that holds counts.
      class FindingEngine
        Finding = Value.define(:rule, :place)
        GRAVEST_FIRST = %w[stop plan watch in_hand].freeze

        attr_reader :rules

        def initialize(rules)
          @rules = rules.freeze
          @by_scope = rules.group_by(&:scope)
        end

        # [Place] -> [Finding], worst first
        def call(places)
          places.flat_map { |place| at(place) }.sort_by.with_index { |finding, at| [GRAVEST_FIRST.index(finding.rule.word), at] }
        end

        private

        def at(place)
          held = @by_scope.fetch(place.scope, []).select { |rule| rule.holds?(place.measures) }
          held.uniq { |rule| rule.group || rule.id }.map { |rule| Finding.new(rule:, place:) }
        end
      end
    end
  end
end
