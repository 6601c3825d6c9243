# frozen_string_literal: true

module Graver
  module Core
    module Training
      # The mark for an answer. should: the right answer, in words; because: how to get it; slip: the mistake made, if
      # it can be told, or nil
      Marking = Value.define(:right, :should, :because, :slip)
    end
  end
end
