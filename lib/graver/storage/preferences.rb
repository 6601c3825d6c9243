# frozen_string_literal: true

require "json"

module Graver
  module Storage
    # How the household likes things: one value per key, the newest counts.
    class Preferences
      def initialize(database)
        @table = database[:preferences]
      end

      # { key => value } of everything chosen so far.
      def all = @table.select_hash(:key, :value).transform_values { |value| JSON.parse(value) }

      # value: what JSON holds
      def set(key, value) = @table.insert_conflict(:replace).insert(key:, value: JSON.generate(value))
    end
  end
end
