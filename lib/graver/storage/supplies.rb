# frozen_string_literal: true

require "sequel"

module Graver
  module Storage
    # The owner's parts, consumables and tools: names, prices, and what is on the shelf.
    class Supplies
      FIELDS = %i[
        kind
        item
        axle_id
        name
        number
        supplier
        price
        lead_days
        on_shelf
        compound
        thickness
        diameter
        unit
      ].freeze

      def initialize(database)
        @table = database[:supplies]
      end

      # fields: of FIELDS -> Supply
      def add(fields, at:) = find(@table.insert(**fields, recorded_at: at))

      # fields: any of #add, and retired_at -> Supply. Raises NotFound.
      def change(id, fields)
        @table.where(id:).update(fields) unless fields.empty?
        find(id)
      end

      # Supplies in use: those of these axles, and those of the whole household.
      def of(axle_ids)
        @table
          .where(retired_at: nil)
          .where(Sequel.or([[:axle_id, axle_ids], [:axle_id, nil]]))
          .order(:id)
          .map { |row| record(row) }
      end

      # Raises NotFound.
      def find(id) = record(@table.first(id:) || raise(NotFound, Message.of("missing.supply")))

      private

      def record(row) = Supply.new(**row.slice(:id, *FIELDS), retired: !row[:retired_at].nil?)
    end
  end
end
