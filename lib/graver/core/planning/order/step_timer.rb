# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A waiting time at a step. of: what runs; seconds
      StepTimer = Value.define(:of, :seconds)
    end
  end
end
