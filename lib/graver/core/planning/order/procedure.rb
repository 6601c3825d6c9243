# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # stages: [Stage] in working order; steps: [Step]; facts: { id => Fact }; hazards: [Hazard].
      Procedure =
        Value.define(:id, :label, :stages, :steps, :facts, :hazards) do
          # A job asks for its steps by name again and again.
          def initialize(**given)
            @named = given.fetch(:steps, []).to_h { |step| [step.id, step] }
            super
          end

          # The step with the requirements of its hazards: those it names and those its words show.
          def guarded(step)
            mine = hazards.select { |hazard| step.does.include?(hazard.id) || hazard.shown_by?(step.text) }
            step.with(
              requires: step.requires | mine.flat_map(&:requires),
              forbids: step.forbids | mine.flat_map(&:forbids)
            )
          end

          # -> Step, or nil
          def step(id) = @named[id]
          # -> Stage, or nil
          def stage(id) = stages.find { |stage| stage.id == id }
        end
    end
  end
end
