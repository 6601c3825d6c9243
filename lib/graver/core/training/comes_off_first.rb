# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Which of three parts comes off first? rules also: placed: [Planning::PlannedStep] of a side in working order, on
      # the brake named by `job`
      class ComesOffFirst < BrakeDrill
        PARTS = 3

        # -> Question
        def question
          ids = @parts.map(&:id)
          asking(say("drills.first"), "choice", choices:, picture: picture(of: ids, named: ids))
        end

        private

        def brakes = [@rules.fetch(:job)]

        # Each off at a step of its own.
        def offered
          different = @draw.mixed(all.select { |part| off_at(part) }).uniq { |part| off_at(part) }
          different.first(PARTS)
        end

        def asked = @parts.min_by { |part| off_at(part) }

        # Place of the step that takes it off, or nil
        def off_at(part) = @rules.fetch(:placed).index { |placed| placed.step.adds.intersect?(part.off_when) }

        def because
          names = @parts.sort_by { |part| off_at(part) }.map(&:label)
          say("drills.first_because", order: names.join(" → "))
        end

        def slip(part) = say("drills.first_slip", part: part.label, first: @asked.label)
      end
    end
  end
end
