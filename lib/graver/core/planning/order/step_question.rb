# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The question asked when a step is done. answers: [Answer]; only a good one lets the job continue.
      StepQuestion = Value.define(:text, :answers) { def answer(id) = answers.find { |answer| answer.id == id } }
      # because: why the vehicle must not be driven after this answer, or nil; clears: marks it resolves
      StepQuestion::Answer = Value.define(:id, :label, :good, :because, :clears)
    end
  end
end
