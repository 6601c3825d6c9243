# frozen_string_literal: true

require "date"
require "time"
require_relative "recent"

module Graver
  module Service
    # What every use case is given: the records, the trade's knowledge, and what day it is.
    class Context
      # Forecasts kept: a household's axles under a few limits, and the lives of pads they could have.
      MOST_OUTLOOKS = 120

      attr_reader :store, :knowledge, :outlooks, :bench, :counter, :imports_under_way

      # today: a callable that returns a Date; bench: Bench::Shelf or nil; counter: Bench::PartsCounter or nil; outlooks: forecasts kept, which two contexts with
      # the same knowledge may share, as the whole question is the key.
      def initialize(store:, knowledge:, today: -> { Date.today }, bench: nil, counter: nil, outlooks: Recent.new(MOST_OUTLOOKS))
        @store = store
        @knowledge = knowledge
        @today = today
        @bench = bench
        @counter = counter
        @imports_under_way = {}
        @outlooks = outlooks
      end

      def today = @today.call
      # Stamp for records, UTC.
      def now = Time.now.utc.iso8601
    end
  end
end
