# frozen_string_literal: true

module Graver
  module API
    # Too many sign-in attempts.
    class TooOften < Error
    end
  end
end
