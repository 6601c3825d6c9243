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

      # request_digest: of what was asked, nil for those kept by an older Graver
      Kept = Core::Value.define(:answer, :request_digest)

      # -> Kept with a Hash with symbol keys, or nil
      def of(key, path)
        row = @table.where(key:, path:).first or return
        Kept.new(answer: JSON.parse(row[:answer], symbolize_names: true), request_digest: row[:request_digest])
      end

      # answer: Hash, kept for seven days
      def keep(key, path, answer, at:, request_digest: nil)
        @table.insert(key:, path:, answer: JSON.generate(answer), recorded_at: at, request_digest:)
        @table.where { recorded_at < (Time.iso8601(at) - (KEPT_DAYS * 86_400)).iso8601 }.delete
      end
    end
  end
end
