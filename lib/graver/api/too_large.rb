# frozen_string_literal: true

module Graver
  module API
    # The body is too large.
    class TooLarge < Error
    end
  end
end
