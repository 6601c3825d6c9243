# frozen_string_literal: true

module Graver
  module Core
    module Training
      # The question of a drill. form: "number" (in unit), "choice" (of one) or "order" (of all); choices: [{ id:,
      # label: }]; picture: { kind:, ... }, numbers to draw from, or nil
      Question = Value.define(:text, :form, :unit, :choices, :picture)
    end
  end
end
