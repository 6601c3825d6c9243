# frozen_string_literal: true

module Graver
  module Service
    module Jobs
      # Says in words why a change of the order was not taken.
      class OrderFaults
        def initialize(knowledge)
          @procedure = knowledge.procedure
        end

        # The beginning of a step's text.
        def self.short(text) = text[/\A[^.:;]{1,70}(?=[\s.:;]|\z)/] || text[0, 70]
        # A placed step in words: "front left: Bracket on, its bolts by hand, then to torque".
        def self.named(placed) = [placed.place, short(placed.step.text)].compact.join(": ")

        # why: :mandatory, :gone or [Core::Planning::PlanVerifier::Violation]
        def sentence(why)
          case why
          when :mandatory
            Message.of("jobs.mandatory")
          when :gone
            Message.of("jobs.gone")
          else
            why.uniq { |fault| [fault.placed.step.id, fault.about] }.first(3).map { |fault| said(fault) }.join(" / ")
          end
        end

        # Why a job can't be planned from where it stands. why: Core::Planning::ReplanWalk::Impossible
        def impossible(why)
          fact = @procedure.facts.fetch(why.about).label
          where = why.where ? " (#{why.where})" : ""
          return Message.of("jobs.stays_apart", fact:, where:) unless why.placed

          step = "“#{self.class.short(why.placed.step.text)}”#{where}"
          Message.of("jobs.not_from_here", because: Message.of("jobs.#{why.kind}", step:, fact:))
        end

        private

        def said(fault)
          step =
            "“#{self.class.short(fault.placed.step.text)}”#{" (#{fault.where})" if fault.where && !fault.where.empty?}"
          case fault.kind
          when "requires"
            Message.of("jobs.requires", step:, fact: @procedure.facts.fetch(fault.about).label)
          when "forbids"
            Message.of("jobs.forbids", step:, fact: @procedure.facts.fetch(fault.about).label)
          else
            Message.of("jobs.comes_after", step:, other: self.class.short(@procedure.step(fault.about).text))
          end
        end
      end
    end
  end
end
