# frozen_string_literal: true

module Graver
  module Core
    module Training
      # Five steps of a job in the only order that is safe. rules: { placed: [Planning::PlannedStep] in working order,
      # verifier: Planning::PlanVerifier, said: callable (PlannedStep) -> its words }
      class StepOrder < Drill
        COUNT = 5
        # The longest stretch of a job one of them may be apart from the next.
        APART = (2..9)

        # -> Question
        def question
          asking(
            say("drills.order"),
            "order",
            choices: @draw_order.map { |placed| { id: placed.key, label: said(placed) } }
          )
        end

        # answer: as it was given -> Marking
        def mark(answer)
          keys = [*answer]
          raise InvalidEntry.of("answer", "missing", say("drills.order_all")) if keys.sort != @steps.map(&:key).sort

          right = keys == @steps.map(&:key)
          marking(right, @steps.map { |placed| said(placed) }.join(" → "), because, right ? nil : slip(keys))
        end

        private

        def set_up
          @placed = @rules.fetch(:placed)
          @steps = chain
          @draw_order = @draw.mixed(@steps)
        end

        def said(placed) = @rules.fetch(:said).call(placed)

        # Each needs the one before it, directly or through a step in between.
        def chain
          start = @draw.below(@placed.length / 3)
          steps = [@placed[start]]
          while steps.length < COUNT
            later = @placed.drop(@placed.index(steps.last) + @draw.from(APART))
            found = later.find { |each| after?(each, steps.last) && steps.none? { |step| said(step) == said(each) } }
            return backed(steps) unless found

            steps << found
          end
          steps
        end

        # Too near the end: starts at the first step, one after the other.
        def backed(_steps)
          @placed.each_with_object([]) do |each, found|
            found << each if found.length < COUNT && (found.empty? || after?(each, found.last))
          end
        end

        # Whether the later step needs the earlier one, over any number of steps.
        def after?(later, earlier)
          between = @placed[@placed.index(earlier)..@placed.index(later)]
          reached = [earlier]
          between.drop(1).each { |each| reached << each if reached.any? { |done| waits?(each, done) } }
          reached.include?(later)
        end

        def waits?(later, earlier)
          verifier = @rules.fetch(:verifier)
          verifier.asks_for?(later, earlier) || (earlier.step.mandatory && verifier.concerns?(earlier, later))
        end

        # The reasons of the steps that give one, in order.
        def because = @steps.filter_map { |placed| placed.step.why }.uniq.join(" ")

        def slip(keys)
          wrong = @steps.each_cons(2).find { |one, two| keys.index(one.key) > keys.index(two.key) }
          say("drills.order_slip", first: said(wrong[0]), then: said(wrong[1]))
        end
      end
    end
  end
end
