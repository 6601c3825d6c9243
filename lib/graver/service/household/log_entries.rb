# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Inspections as stored -> the entries of one axle's log. What one tool read of one position between two fittings
      # is one entry, the thinnest place of it, in whatever order and in however many rows the places were entered.
      module LogEntries
        # A reading the owner kept against a question is trusted half as much.
        DOUBTED_TRUST = 0.5
        # The parts with a forecast; runout, parking shoes and the like are only on file.
        PARTS = %w[pad rotor].freeze
        # What happened says how thick it was; a figure beside it says nothing more.
        EVENTS_THAT_SAY_ALL = %w[squealer sensor metal freed].freeze
        POSITION = %i[event part side pad method overall instrument_id].freeze

        module_function

        # readings: RowReadings
        def call(inspections, axle_id, readings = RowReadings.new({}))
          inspections.flat_map do |inspection|
            mine = inspection.readings.select { |row| row.axle_id == axle_id && PARTS.include?(row.part) }
            together(mine).map { |places| entry(inspection, places, readings) }
          end
        end

        # [ReadingRow] of one inspection -> [[ReadingRow of one position], ...]; groups end at a fitting
        def together(rows)
          rows
            .chunk_while { |one, other| one.event == "reading" && other.event == "reading" }
            .flat_map { |run| run.first.event == "reading" ? run.group_by { |row| place(row) }.values : run.zip }
        end

        # ReadingRow -> what tells its position and way of reading from others
        def place(row) = POSITION.map { |field| row[field] }

        # [ReadingRow] of one position -> Core::Wear::Entry of the thinnest
        def entry(inspection, places, readings)
          thinnest = places.one? ? places.first : places.min_by { |row| readings.mm(row) }
          Core::Wear::Entry.new(
            date: inspection.date,
            odometer_km: inspection.odometer_km,
            part: thinnest.part,
            side: thinnest.side,
            pad: thinnest.pad,
            event: thinnest.event,
            reading: EVENTS_THAT_SAY_ALL.include?(thinnest.event) ? nil : readings.reading(thinnest),
            trust: places.any?(&:doubt) ? DOUBTED_TRUST : 1.0,
            affirmed: places.any? { |row| affirmed?(row) },
            ref: thinnest.id
          )
        end

        # Whether it was questioned, measured again and found right; a corrected reading starts over.
        def affirmed?(row) = row.flags.last&.answer == "affirmed" && row.corrections.empty?
      end
    end
  end
end
