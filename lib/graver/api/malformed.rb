# frozen_string_literal: true

module Graver
  module API
    # What came in is no JSON object.
    class Malformed < Error
    end
  end
end
