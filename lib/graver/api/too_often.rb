# frozen_string_literal: true

module Graver
  module API
    # Too many tries to sign in.
    class TooOften < Error
    end
  end
end
