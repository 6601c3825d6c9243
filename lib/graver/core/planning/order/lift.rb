# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # The wheels in the air together. bleeding: [Corner] in the order they are bled.
      Lift = Value.define(:name, :corners, :bleeding)
    end
  end
end
