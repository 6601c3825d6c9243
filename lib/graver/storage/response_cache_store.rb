# frozen_string_literal: true

module Graver
  module Storage
    # Cached answers, each with the state of the data it was calculated from. The newest of a kind and
    # vehicle.
    class ResponseCacheStore
      def initialize(database)
        @database = database
        @table = database[:response_cache]
      end

      # -> [worked_out_at, content] or nil
      def of(kind, vehicle_id) = @table.where(kind:, vehicle_id:).get(%i[worked_out_at content])

      # In place of the one kept before.
      def keep(kind, vehicle_id, worked_out_at, content)
        @table.insert_conflict(:replace).insert(kind:, vehicle_id:, worked_out_at:, content:)
      end
    end
  end
end
