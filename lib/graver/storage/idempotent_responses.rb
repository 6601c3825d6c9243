# frozen_string_literal: true

require "json"

module Graver
  module Storage
    # Answers to requests that carried a key of their sender's: sent again, the same request gets the same answer and
    # does nothing twice.
    class IdempotentResponses
      KEPT_DAYS = 7

      def initialize(database)
        @table = database[:idempotent_responses]
      end

      # -> Hash with symbol keys, or nil
      def of(key, path)
        kept = @table.where(key:, path:).get(:answer)
        kept && JSON.parse(kept, symbolize_names: true)
      end

      # answer: Hash, kept for seven days
      def keep(key, path, answer, at:)
        @table.insert(key:, path:, answer: JSON.generate(answer), recorded_at: at)
        @table.where { recorded_at < (Time.iso8601(at) - (KEPT_DAYS * 86_400)).iso8601 }.delete
      end
    end
  end
end
