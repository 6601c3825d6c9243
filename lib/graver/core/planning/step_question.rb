# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What is asked when a step is done, and what can be answered. answers: [Answer]; only a good one lets the job go
      # on.
      StepQuestion = Value.define(:text, :answers) { def answer(id) = answers.find { |answer| answer.id == id } }
      # because: why the vehicle is not driven after this answer, or nil; clears: marks that stand no more in the way
      StepQuestion::Answer = Value.define(:id, :label, :good, :because, :clears)
    end
  end
end
