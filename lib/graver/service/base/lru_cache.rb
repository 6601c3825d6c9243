# frozen_string_literal: true

module Graver
  module Service
    module Base
      # Keeps the newest answers to questions whose whole content is the key: the same log on the same day is not
      # forecast twice. A changed log is another key, so nothing has to be thrown away when something is saved.
      class LruCache
        def initialize(most)
          @most = most
          @answers = {}
          @lock = Mutex.new
        end

        def fetch(key)
          kept = @lock.synchronize { touched(key) }
          return kept if kept

          yield.tap { |answer| @lock.synchronize { keep(key, answer) } }
        end

        def clear = @lock.synchronize { @answers.clear }

        private

        # The last value asked for is dropped last.
        def touched(key)
          kept = @answers.delete(key)
          @answers[key] = kept if kept
        end

        def keep(key, answer)
          @answers.shift if @answers.length >= @most
          @answers[key] = answer
        end
      end
    end
  end
end
