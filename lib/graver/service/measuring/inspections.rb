# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # Logged inspections with their corrections.
      class Inspections
        # photos: [Storage::Photo]; thinnest: ids of the readings that count where several places were read
        Logged = Core::Value.define(:inspection, :vehicle, :photos, :thinnest)

        def initialize(context)
          @context = context
          @store = context.store
        end

        # -> Logged. Raises NotFound.
        def find(id)
          inspection = @store.inspections.find(id)
          Logged.new(
            inspection:,
            vehicle: @store.vehicles.find(inspection.vehicle_id),
            photos: Photos.new(@context).of_inspection(inspection),
            thinnest: thinnest(inspection)
          )
        end

        private

        # What is struck out counts no more.
        def thinnest(inspection)
          read = inspection.readings.select { |row| row.event == "reading" && row.value && !row.void }
          places = read.group_by { |row| Household::LogEntries.place(row) }.values.select { |rows| rows.length > 1 }
          readings = Household::RowReadings.new({})
          places.map { |rows| rows.min_by { |row| readings.mm(row) }.id }
        end
      end
    end
  end
end
