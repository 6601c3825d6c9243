# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A deadly hazard: the facts it requires and forbids whatever the step says, and the words that show a step of
      # that kind.
      Hazard =
        Value.define(:id, :label, :requires, :forbids, :words) do
          # Whether a text speaks of it.
          def shown_by?(text) = words.any? { |word| text.downcase.include?(word) }
        end
    end
  end
end
