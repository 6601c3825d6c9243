# frozen_string_literal: true

module Graver
  # A record that was asked for is not there.
  class NotFound < Error
  end
end
