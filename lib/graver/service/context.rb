# frozen_string_literal: true

require "date"
require "time"

module Graver
  module Service
    # What every use case is given: the records, the trade's knowledge, and what day it is.
    class Context
      attr_reader :store, :knowledge

      # today: a callable that returns a Date.
      def initialize(store:, knowledge:, today: -> { Date.today })
        @store = store
        @knowledge = knowledge
        @today = today
      end

      def today = @today.call
      # Stamp for records, UTC.
      def now = Time.now.utc.iso8601
    end
  end
end
