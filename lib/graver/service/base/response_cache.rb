# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Answers about a vehicle as texts, cached for each state of its log, of what all vehicles share, of the
      # day and of Graver itself. In memory, and in the file for the next start.
      class ResponseCache
        # texts in memory: a few kinds of twenty vehicles
        MOST = 300

        def initialize
          @texts = LruCache.new(MOST)
        end

        # The text the block gives. beside: what else it is made of, as a text. Raises whatever it raises; then nothing
        # is kept.
        def fetch(context, kind, vehicle_id, beside: nil)
          return yield unless context.store.settled?

          kind = spoken(context, kind)
          at = [state(context, vehicle_id), *beside].join("/")
          @texts.fetch([kind, vehicle_id, at]) do
            on_file(context, kind, vehicle_id, at) || keep(context, kind, vehicle_id, at, yield)
          end
        end

        # The same if it is cached, else nil.
        def ready(context, kind, vehicle_id)
          kind = spoken(context, kind)
          at = state(context, vehicle_id)
          @texts.fetch([kind, vehicle_id, at]) { on_file(context, kind, vehicle_id, at) || (return nil) }
        end

        # The newest there is, of whatever state, or nil.
        def stale(context, kind, vehicle_id) = context.store.response_cache.of(spoken(context, kind), vehicle_id)&.last

        private

        # An answer is made of words.
        def spoken(context, kind) = "#{kind}.#{context.english}"

        def state(context, vehicle_id)
          revisions = context.store.revisions
          [revisions.vehicles[vehicle_id], revisions.shared, context.today.iso8601, context.build_digest].join("/")
        end

        def on_file(context, kind, vehicle_id, at)
          kept_at, content = context.store.response_cache.of(kind, vehicle_id)
          content if kept_at == at
        end

        # An answer that cannot be cached is still an answer.
        def keep(context, kind, vehicle_id, at, content)
          context.store.transaction { context.store.response_cache.keep(kind, vehicle_id, at, content) }
          content
        rescue NotSaved
          content
        end
      end
    end
  end
end
