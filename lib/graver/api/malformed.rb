# frozen_string_literal: true

module Graver
  module API
    # The body is not a JSON object.
    class Malformed < Error
    end
  end
end
