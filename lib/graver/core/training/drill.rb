# frozen_string_literal: true

module Graver
  module Core
    module Training
      # A drill, drawn from a seed and marked by the rules that judge real readings. Subclasses define the question
      # (`question`) and mark an answer (`mark`).
      class Drill
        # seed: a whole number; rules: the knowledge the drill needs
        def initialize(seed, rules = {})
          @draw = Draw.new(seed, self.class.name)
          @rules = rules
          set_up
        end

        # -> Question
        def question = raise(NotImplementedError)

        # answer: text, or for "order" a list of ids -> Marking. Raises InvalidEntry.
        def mark(_answer) = raise(NotImplementedError)

        private

        def set_up = raise(NotImplementedError)
        def say(key, **tokens) = Message.of(key, **tokens)

        def number(answer)
          Quantity::EnteredNumber.parse(answer.to_s).value
        rescue InvalidEntry => e
          raise e.under("answer")
        end

        def asking(text, form, unit: nil, choices: [], picture: nil)
          Question.new(text:, form:, unit:, choices:, picture:)
        end

        def marking(right, should, because, slip = nil)
          Marking.new(right:, should:, because:, slip: right ? nil : slip)
        end

        def chosen(answer, choices)
          choices.find { |choice| choice[:id] == answer } ||
            raise(InvalidEntry.of("answer", "unknown_choice", say("drills.choose")))
        end
      end
    end
  end
end
