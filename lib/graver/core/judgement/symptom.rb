# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A symptom, its questions, and its outcomes (knowledge/rules/symptoms.yml): the first outcome whose conditions
      # hold.
      Symptom =
        Entry.define(:id, :label, :questions, :outcomes, vehicles: nil) do
          # answers: { question id => option id } -> Outcome
          def outcome(answers)
            outcomes.find { |each| each.when.all? { |question, option| answers[question] == option } }
          end
        end
      # options: { id => label }
      Symptom::Question = Entry.define(:id, :text, :options)
      # mark: of the item "symptom" in knowledge/conditions.yml
      Symptom::Outcome = Entry.define(:mark, :severity, :sentence, :causes, :measure, when: {})
    end
  end
end
