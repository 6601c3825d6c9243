# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # What to count at a step. of: its name in the plural; target: how many, or nil if it is judged by feel
      StepCount = Value.define(:of, :target)
    end
  end
end
