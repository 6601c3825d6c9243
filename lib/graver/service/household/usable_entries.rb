# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Splits the log of one axle into valid entries, and readings on file that give no thickness with the present
      # brake data. Those are reported, never guessed, and never stop the rest.
      class UsableEntries
        # row: Storage::ReadingRow of a Storage::Inspection; because: a sentence
        Unusable = Core::Value.define(:row, :inspection, :because) { def ref = row.id }
        # Parts of one kind of brake: readings of the other kind stay on file when an axle's kind is changed.
        KINDS = %w[pad rotor drum].freeze

        # record: AxleRecord; readings: RowReadings
        def initialize(record, normalise, readings)
          @record = record
          @normalise = normalise
          @readings = readings
          @faults = {}.compare_by_identity
          @parts = Hash.new { |known, part| known[part] = record.part(part) }
        end

        # [Core::Wear::Entry] of pads and rotors
        def entries = split.first

        # [Unusable]; runout and parking shoes too
        def unusable = @unusable ||= split.last + beside

        # Why no thickness can be made of a row, in a sentence, or nil.
        def fault(row) = elsewhere(row) || fault_of(@readings.reading(row))

        # Why such a brake has no such place, in a sentence, or nil.
        def elsewhere(row)
          brakes = @record.brake_kind.brakes
          return if !KINDS.include?(row.part) || Core::Measurement::Positions.log?(brakes, row.part, row.pad)

          Message.of("faults.other_brake", brakes:)
        end

        # Was a thickness read here that can be used?
        def thickness?(row) = row.event == "reading" && !row.value.nil? && fault(row).nil?

        private

        # The same reading is the same object (RowReadings).
        def fault_of(reading) = @faults.fetch(reading) { @faults[reading] = judged(reading) }

        def judged(reading)
          @normalise.call(reading, @parts[reading.part])
          nil
        rescue InvalidEntry => e
          e.message
        end

        def split
          @split ||=
            LogEntries
              .call(@record.inspections, @record.axle.id, @readings)
              .each_with_object([[], []]) do |entry, (good, bad)|
                because = elsewhere(entry) || (entry.reading && fault_of(entry.reading))
                because ? bad << named(entry.ref, because) : good << entry
              end
        end

        def named(ref, because)
          inspection = @record.inspections.find { |each| each.readings.any? { |row| row.id == ref } }
          row = inspection.readings.find { |each| each.id == ref }
          Unusable.new(row:, inspection:, because:)
        end

        def beside
          @record.inspections.flat_map do |inspection|
            inspection.readings.filter_map do |row|
              next if row.axle_id != @record.axle.id || LogEntries::PARTS.include?(row.part) || !row.value

              because = fault(row) or next
              Unusable.new(row:, inspection:, because:)
            end
          end
        end
      end
    end
  end
end
