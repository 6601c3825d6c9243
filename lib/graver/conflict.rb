# frozen_string_literal: true

module Graver
  # Somebody else changed the record since it was read; `current` is what it is now.
  class Conflict < Error
    attr_reader :current

    def initialize(message, current: nil)
      @current = current
      super(message)
    end
  end
end
