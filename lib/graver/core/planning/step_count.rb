# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What is counted at a step. of: its name in the plural; target: how many, or nil where that is told by feel
      StepCount = Value.define(:of, :target)
    end
  end
end
