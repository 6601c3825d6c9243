# frozen_string_literal: true

module Graver
  module API
    module Serializers
      # Symptoms, their questions, and the outcomes.
      class Symptoms
        def initialize(knowledge, today = nil)
          @knowledge = knowledge
          @today = today
        end

        def all
          {
            symptoms:
              @knowledge.symptoms.map do |symptom|
                {
                  id: symptom.id,
                  label: symptom.label,
                  vehicles: symptom.vehicles,
                  questions: symptom.questions.map { |question| question(question) }
                }
              end
          }
        end

        # Service::Judging::Symptoms::Outcome
        def outcome(outcome)
          findings = Findings.new(@knowledge)
          {
            **outcome.to_h.slice(:severity, :sentence, :causes, :measure),
            tied: outcome.tied.map { |found| findings.finding(found) },
            noted: FollowUps.one(outcome.noted, @today)
          }
        end

        private

        def question(question)
          { id: question.id, text: question.text, options: question.options.map { |id, label| { id:, label: } } }
        end
      end
    end
  end
end
