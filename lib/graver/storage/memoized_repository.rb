# frozen_string_literal: true

module Graver
  module Storage
    # A repository as one request sees it: each query runs once. Any other call is a change, and is reported to the
    # request's records.
    class MemoizedRepository
      # reads: names of its questions; changed: called after anything else
      def initialize(repository, reads, changed)
        @repository = repository
        @reads = reads
        @changed = changed
        @known = {}
      end

      # Reads again from now on.
      def forget = @known.clear

      def respond_to_missing?(name, private = false) = @repository.respond_to?(name, private) || super

      def method_missing(name, *arguments, **options, &block)
        return super unless @repository.respond_to?(name)
        return ask(name, arguments, options, block) if @reads.include?(name) && block.nil?

        ask(name, arguments, options, block).tap { @changed.call }
      end

      private

      def ask(name, arguments, options, block)
        return @repository.public_send(name, *arguments, **options, &block) unless @reads.include?(name)

        key = [name, arguments, options]
        @known.key?(key) ? @known[key] : @known[key] = @repository.public_send(name, *arguments, **options).freeze
      end
    end
  end
end
