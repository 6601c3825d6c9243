# frozen_string_literal: true

module Graver
  module Service
    module Planning
      # Marks of an axle that nothing in the scope of a job answers, and what would. A job that only looks answers none.
      class MarksFound
        # rules: Core::Planning::ScopeRules; axle: Scope::AxleScope
        def initialize(rules, axle)
          @rules = rules
          @axle = axle
        end

        # Those that forbid to drive -> { CurrentConditions::Seen => work id }
        def stopping = @stopping ||= unanswered("stop")

        # Those that are to be planned for -> the same
        def wanting = @wanting ||= unanswered("plan")

        # Those that forbid to drive, where the job only looks too -> the same
        def condemning = @condemning ||= found("stop")

        private

        def unanswered(severity) = @rules.looking?(@axle.works) ? {} : found(severity)

        def found(severity)
          @axle
            .overview
            .seen
            .select { |seen| seen.severity == severity && answering(seen, @axle.works).empty? }
            .to_h { |seen| [seen, answering(seen, @axle.offered.map(&:id)).first] }
            .compact
        end

        def answering(seen, works) = @rules.answering([seen.item.id, "#{seen.item.id}.#{seen.mark.id}"], works)
      end
    end
  end
end
