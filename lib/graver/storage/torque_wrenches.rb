# frozen_string_literal: true

require "date"

module Graver
  module Storage
    # Torque wrenches of the household, as entered.
    class TorqueWrenches
      def initialize(database)
        @table = database[:torque_wrenches]
      end

      # -> TorqueWrench
      def add(fields, at:) = find(@table.insert(**fields, recorded_at: at))

      # fields: any of #add, and retired_at -> TorqueWrench. Raises NotFound.
      def change(id, fields)
        @table.where(id:).update(fields) unless fields.empty?
        find(id)
      end

      # In the order they were added, put-away ones too.
      def all = @table.order(:id).map { |row| record(row) }

      # Raises NotFound.
      def find(id)
        record(@table.first(id:) || raise(NotFound, Message.of("missing.wrench")))
      end

      private

      def record(row)
        fields = row.slice(:id, :name, :unit, :least, :most, :graduation, :length_mm)
        TorqueWrench.new(
          **fields,
          retired: !row[:retired_at].nil?,
          calibrated_on: row[:calibrated_on] && Date.iso8601(row[:calibrated_on])
        )
      end
    end
  end
end
