# frozen_string_literal: true

module Graver
  module Core
    module Judgement
      # A figure that is read with the rest: level, moisture or age of the fluid, clicks of the handbrake.
      ConditionFigure = Entry.define(:id, :label, :unit, :least, :most, :hint, whole: false, vehicles: nil)
    end
  end
end
