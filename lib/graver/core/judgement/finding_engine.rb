# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # Tries every rule at every place of its scope; in a group only the first match counts.
      class FindingEngine
        Finding = Value.define(:rule, :place)
        GRAVEST_FIRST = %w[stop plan watch good].freeze

        attr_reader :rules

        def initialize(rules)
          @rules = rules.freeze
          @by_scope = rules.group_by(&:scope)
        end

        # [Place] -> [Finding], worst first
        def call(places)
          places
            .flat_map { |place| at(place) }
            .sort_by
            .with_index { |finding, at| [GRAVEST_FIRST.index(finding.rule.severity), at] }
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
