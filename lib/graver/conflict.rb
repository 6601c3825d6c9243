# frozen_string_literal: true

module Graver
  # The record changed since it was read; `current` is its present state.
  class Conflict < Error
    attr_reader :current

    def initialize(message, current: nil)
      @current = current
      super(message)
    end
  end
end
