# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # of: "job", "lift", "corner", "gathering" (all corners of a lift come up to it), "between" (two corners) or
      # "bleeding" (each corner in bleeding order)
      Stage = Value.define(:id, :label, :of)
    end
  end
end
