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
        # later: takes a callable, to run it or to leave it to the process beside (API::WorkAhead); patience: seconds a
        # page of many vehicles waits for answers that are not cached yet; nil: waits for all.
        Serving = Core::Value.define(:later, :patience)
        # No server: everything at once.
        ALONE = Serving.new(later: :call.to_proc, patience: nil)
        # Orders of steps and the like, of jobs under way.
        MOST_PLANS = 40
        # Readings in the vehicles' snapshots that stay in memory; the newest snapshot always does.
        MOST_READINGS = 100_000

        attr_reader :store,
                    :knowledge,
                    :outlooks,
                    :devices,
                    :counter,
                    :imports_under_way,
                    :build_digest,
                    :response_cache,
                    :snapshots,
                    :english

        # today: a callable that returns a Date; devices: Devices::Shelf or nil; counter: Devices::PartsCounter or nil;
        # outlooks: cached forecasts, which two contexts with the same knowledge may share, as the whole question is the
        # key. build_digest: changes with Graver itself, so that another version's answers are not used.
        def initialize(
          store:,
          knowledge:,
          today: -> { Date.today },
          devices: nil,
          counter: nil,
          outlooks: LruCache.new(MOST_OUTLOOKS),
          build_digest: "",
          serving: ALONE
        )
          @store = store
          @knowledge = knowledge
          @today = today
          @devices = devices
          @counter = counter
          @imports_under_way = {}
          @outlooks = outlooks
          @build_digest = build_digest
          @serving = serving
          @response_cache = ResponseCache.new
          @origin = self
          @english = English::DEFAULT
          @plans = LruCache.new(MOST_PLANS)
          @snapshots = LruCache.new(MOST_READINGS) { |kept| kept.snapshot.weight }
        end

        # A context of its own for the records of another file.
        def of_file(store) = self.class.new(store:, knowledge: @knowledge, today: @today)

        # True when the records answer; raises otherwise.
        def reachable? = @store.reachable?
        # A copy for one request, in one English, which loads each record once.
        def for_request(english = English::DEFAULT) = dup.remembering(english)

        # A copy that enters things in the name of a person, or of none.
        def as(person) = dup.tap { |copy| copy.named = [person] }

        # Name of the person at the device, for what is entered there, or nil.
        def person
          @named ? @named.first : @store.preferences.all.dig(Storage::RestoredFile::ACCESS.first, "person")
        end

        # Runs the block with its own context, in the same English, after the current request is answered.
        def later
          english = @english
          @serving.later.call(-> { yield @origin.for_request(english) })
        end

        # Runs the block once per key: a repeated request gets the first answer. The answer and its writes are saved
        # together or not at all. Without a key it just runs the block. digest: callable -> of what is asked, known once
        # the block has run. Raises Conflict where the key belongs to another request.
        def once_for(key, path, digest)
          return yield unless key

          @store.transaction do
            kept = @store.idempotent_responses.of(key, path)
            next yield.tap { |answer| keep_answer(key, path, answer, digest) } unless kept
            raise Conflict, Message.of("requests.key_used") unless [nil, digest.call].include?(kept.request_digest)

            kept.answer
          end
        end

        # The block's result, cached for this request until something changes.
        def once(key, &block) = @store.once(key, &block)

        # The block's result from all records but jobs and drafts, and from the day: cached between requests while both
        # stay the same. Never nil.
        def standing(key, &block)
          return yield unless @store.records_settled?

          @plans.fetch([@store.revisions.household, today, @english, *key], &block)
        end

        # Seconds a page of many vehicles waits for what is not calculated yet, or nil: for all.
        def patience = @serving.patience
        # -> Date
        def today = @today.call
        # -> Time now, UTC
        def time = Time.now.utc
        # Seconds that only ever rise, to wait by.
        def clock = Process.clock_gettime(Process::CLOCK_MONOTONIC)
        # Stamp for records, UTC.
        def now = time.iso8601

        protected

        attr_writer :named

        def remembering(english)
          @store = Storage::RequestStore.new(@store)
          @english = english
          @knowledge = @knowledge.in(english)
          self
        end

        private

        def keep_answer(key, path, answer, digest)
          @store.idempotent_responses.keep(key, path, answer, at: now, request_digest: digest.call)
        end
      end
    end
  end
end
