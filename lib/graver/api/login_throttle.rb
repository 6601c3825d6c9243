# frozen_string_literal: true

module Graver
  module API
    # Limits guesses at the passphrase: a few for each device that signed in here before, a few for each address, and a
    # total for all addresses of strangers. So one that guesses locks out no device that is known (OWASP, "Slow down
    # online guessing attacks with device cookies").
    class LoginThrottle
      EACH = 5
      ALL = 30
      SECONDS = 900

      # clock: callable -> seconds
      def initialize(clock)
        @clock = clock
        @failed = []
        @lock = Mutex.new
      end

      # who: the id of a known device (Integer), or an address (String) -> seconds until it may try again; 0 if it may
      def wait(who)
        @lock.synchronize do
          forget
          mine = @failed.select { |from, _| from == who }
          strangers = who.is_a?(Integer) ? [] : @failed.reject { |from, _| from.is_a?(Integer) }
          barring = [(mine[-EACH] if mine.length >= EACH), (strangers[-ALL] if strangers.length >= ALL)].compact
          barring.map { |_, at| (at + SECONDS - @clock.call).ceil }.max || 0
        end
      end

      def failed(who) = @lock.synchronize { @failed << [who, @clock.call] }
      def forgive(who) = @lock.synchronize { @failed.reject! { |from, _| from == who } }

      private

      def forget = @failed.reject! { |_, at| at + SECONDS <= @clock.call }
    end
  end
end
