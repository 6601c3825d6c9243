# frozen_string_literal: true

module Graver
  module API
    # Limits sign-in attempts: a few per address, and a total for all.
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

      # Seconds until this address may try again; 0 if it may.
      def wait(address)
        @lock.synchronize do
          forget
          mine = @failed.select { |from, _| from == address }
          barring = [(mine[-EACH] if mine.length >= EACH), (@failed[-ALL] if @failed.length >= ALL)].compact
          barring.map { |_, at| (at + SECONDS - @clock.call).ceil }.max || 0
        end
      end

      def failed(address) = @lock.synchronize { @failed << [address, @clock.call] }
      def forgive(address) = @lock.synchronize { @failed.reject! { |from, _| from == address } }

      private

      def forget = @failed.reject! { |_, at| at + SECONDS <= @clock.call }
    end
  end
end
