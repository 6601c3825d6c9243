# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # Steps that are done in one go: neighbours at one place that name the same group. A mandatory step ends the
      # group, so that nothing after it is done together with it.
      module StepGroups
        module_function

        # [PlannedStep] -> [[PlannedStep, ...], ...] in the same order
        def call(placed)
          placed.chunk_while { |one, other| together?(one, other) }.to_a
        end

        def together?(one, other)
          !one.step.step_group.nil? && one.step.step_group == other.step.step_group && !one.step.mandatory &&
            [one.step.stage, one.lift, one.place] == [other.step.stage, other.lift, other.place]
        end
      end
    end
  end
end
