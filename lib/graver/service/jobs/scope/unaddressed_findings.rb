# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Marks of an axle that nothing in the scope of a job answers, and what would. A job that only looks answers none.
      class UnaddressedFindings
        # rules: Core::Planning::ScopeRules; axle: Scope::AxleScope
        def initialize(rules, axle)
          @rules = rules
          @axle = axle
        end

        # Those that stop a job: they forbid to drive, or the work can't go on around them -> {
        # CurrentConditions::Observation => work id }
        def stopping = @stopping ||= unless_looking { |seen| seen.severity == "stop" || halting?(seen) }

        # The ones to plan for -> the same
        def wanting = @wanting ||= unless_looking { |seen| seen.severity == "plan" && !halting?(seen) }

        # Those that forbid to drive, where the job only looks too -> the same
        def condemning = @condemning ||= found { |seen| seen.severity == "stop" }

        private

        def halting?(seen) = @rules.halting?("#{seen.item.id}.#{seen.mark.id}")
        def unless_looking(&block) = @rules.looking?(@axle.works) ? {} : found(&block)

        def found(&block)
          @axle
            .overview
            .seen
            .select(&block)
            .select { |seen| answering(seen, @axle.works).empty? }
            .to_h { |seen| [seen, answering(seen, @axle.offered.map(&:id)).first] }
            .compact
        end

        def answering(seen, works) = @rules.answering([seen.item.id, "#{seen.item.id}.#{seen.mark.id}"], works)
      end
    end
  end
end
