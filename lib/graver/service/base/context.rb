# frozen_string_literal: true

require "date"
require "time"

module Graver
  module Service
    module Base
      # What every use case is given: the records, the trade's knowledge, and what day it is.
      class Context
        # Forecasts kept: a household's axles under a few limits, and the lives of pads they could have.
        MOST_OUTLOOKS = 120
        # Orders of steps and the like, of jobs under way.
        MOST_PLANS = 40

        attr_reader :store, :knowledge, :outlooks, :devices, :counter, :imports_under_way

        # today: a callable that returns a Date; devices: Devices::Shelf or nil; counter: Devices::PartsCounter or
        # nil; outlooks: forecasts kept, which two contexts with
        # the same knowledge may share, as the whole question is the key. later: does a callable nobody waits for; at
        # once unless a server does it afterwards.
        def initialize(
          store:,
          knowledge:,
          today: -> { Date.today },
          devices: nil,
          counter: nil,
          outlooks: LruCache.new(MOST_OUTLOOKS),
          later: :call.to_proc
        )
          @store = store
          @knowledge = knowledge
          @today = today
          @devices = devices
          @counter = counter
          @imports_under_way = {}
          @outlooks = outlooks
          @later = later
          @origin = self
          @plans = LruCache.new(MOST_PLANS)
        end

        # True when the records answer; raises otherwise.
        def reachable? = @store.reachable?
        # The same for one request, which loads what it needs once.
        def for_request = dup.tap(&:remember)

        # Gives the block a context of its own, after what is asked now is answered.
        def later = @later.call(-> { yield @origin.for_request })

        # What the block gives, once for a key, however often it is asked: a repeated request gets the first answer. All
        # of it, and what it writes, is kept together or not at all. Without a key just what the block gives.
        def once_for(key, path)
          return yield unless key

          @store.transaction do
            @store.answers_given.of(key, path) ||
              yield.tap { |answer| @store.answers_given.keep(key, path, answer, at: now) }
          end
        end

        # What the block gives, worked out once in this request until something is changed.
        def once(key, &block) = @store.once(key, &block)

        # What the block gives from all that is on file but jobs and drafts, and from the day: kept from one request
        # to the next as
        # long as both stand. Never nil.
        def standing(key, &block) = @plans.fetch([@store.revision, today, *key], &block)

        def today = @today.call
        def time = Time.now.utc
        # Stamp for records, UTC.
        def now = time.iso8601

        protected

        def remember = @store = Storage::RequestStore.new(@store)
      end
    end
  end
end
