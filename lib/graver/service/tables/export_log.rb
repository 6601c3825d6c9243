# frozen_string_literal: true

module Graver
  module Service
    module Tables
      # A vehicle's pads, shoes, rotors and drums as the open log, exactly as entered. What simulated devices sent stays
      # here: in a file it would lose its label.
      class ExportLog
        PARTS = [*Household::LogEntries::PARTS, "drum"].freeze

        def initialize(context)
          @context = context
        end

        # name: a file's; text: CSV
        Exported = Core::Value.define(:name, :text)

        # -> Exported. Raises NotFound.
        def call(vehicle_id)
          vehicle = @context.store.vehicles.find(vehicle_id)
          names = vehicle.axles.to_h { |axle| [axle.id, axle.name] }
          inspections = @context.store.inspections.of_vehicle(vehicle_id)
          text = LogFormat::LogWriter.new.call(inspections.flat_map { |inspection| rows(inspection, names) })
          Exported.new(name: "#{vehicle.name.gsub(/[^\p{Alnum}]+/, "-")}-log.csv", text:)
        end

        private

        def rows(inspection, names)
          mine = inspection.readings.select { |row| row.axle_id && !row.simulated && PARTS.include?(row.part) }
          positions = mine.chunk_while { |one, other| in_one_row?(one, other) }
          positions.each_with_index.map do |places, at|
            row(inspection, names, places, at.zero? ? inspection.note : nil)
          end
        end

        # Places of one position as they were entered together.
        def in_one_row?(one, other)
          same = [:axle_id, :unit, *Household::LogEntries::POSITION].all? { |field| one[field] == other[field] }
          same && other.place > one.place
        end

        def row(inspection, names, places, note)
          first = places.first
          LogFormat::LogWriter::Row.new(
            date: inspection.date,
            odometer: inspection.odometer_value,
            odometer_unit: inspection.odometer_unit,
            axle: names[first.axle_id],
            **first.to_h.slice(:side, :part, :pad, :event, :method, :upper, :unit, :overall, :doubt),
            values: places.filter_map(&:value),
            note:
          )
        end
      end
    end
  end
end
