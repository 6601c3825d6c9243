# frozen_string_literal: true

require "json"

module Graver
  module Storage
    # How the household likes things: one value per key, the newest counts.
    class Preferences
      def initialize(database)
        @table = database[:preferences]
      end

      # The value, or nil when nothing was chosen yet.
      def get(key)
        row = @table.first(key:)
        row && JSON.parse(row[:value])
      end

      def set(key, value) = @table.insert_conflict(:replace).insert(key:, value: JSON.generate(value))
    end
  end
end
