# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Keeps the newest answers to questions whose whole content is the key: the same log on the same day is not
      # forecast twice. A changed log is another key, so nothing has to be thrown away when something is saved.
      class LruCache
        # most: answers, or the sum of their weights if a block weighs each
        def initialize(most, &weigh)
          @most = most
          @weigh = weigh || ->(_) { 1 }
          @answers = {}
          @lock = Mutex.new
        end

        # The answer, or nil.
        def [](key) = @lock.synchronize { touched(key) }
        # Keeps an answer, and drops those used longest ago.
        def []=(key, answer)
          @lock.synchronize { keep(key, answer) }
        end

        # The answer kept, else the block's, kept from now on.
        def fetch(key)
          kept = @lock.synchronize { touched(key) }
          return kept if kept

          yield.tap { |answer| @lock.synchronize { keep(key, answer) } }
        end

        # The first answer the block holds of, or nil.
        def find(&block) = @lock.synchronize { @answers.values }.find(&block)

        # Drops all answers.
        def clear = @lock.synchronize { @answers.clear }

        private

        # The last value asked for is dropped last.
        def touched(key)
          kept = @answers.delete(key)
          @answers[key] = kept if kept
        end

        def keep(key, answer)
          @answers.delete(key)
          @answers[key] = answer
          total = @answers.values.sum(&@weigh)
          total -= @weigh.call(@answers.shift.last) while total > @most && @answers.length > 1
        end
      end
    end
  end
end
