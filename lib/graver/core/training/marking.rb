# frozen_string_literal: true

module Graver
  module Core
    module Training
      # What an answer was worth. should: the right one, in words; because: how it is come by; slip: what went wrong
      # with this one, where that can be told, or nil
      Marking = Value.define(:right, :should, :because, :slip)
    end
  end
end
