# frozen_string_literal: true

module Graver
  module API
    # What came in is too much at once.
    class TooLarge < Error
    end
  end
end
