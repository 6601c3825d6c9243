# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Splits the log of one axle into valid entries, and readings on file that give no thickness with the present
      # brake data. Those are reported, never guessed, and never stop the rest.
      class UsableEntries
        # row: Storage::ReadingRow of a Storage::Inspection; because: a sentence
        Unusable = Core::Value.define(:row, :inspection, :because) { def ref = row.id }

        # record: AxleRecord; instruments: { id => Core::Measurement::Instrument }
        def initialize(record, normalise, instruments)
          @record = record
          @normalise = normalise
          @instruments = instruments
          @parts = Hash.new { |known, part| known[part] = record.part(part) }
        end

        # [Core::Wear::Entry] of pads and rotors
        def entries = split.first

        # [Unusable]; runout and parking shoes too
        def unusable = @unusable ||= split.last + beside

        # Why no thickness can be made of a row, in a sentence, or nil.
        def fault(row) = fault_of(LogEntries.reading(row, @instruments), row.part)

        # Was a thickness read here that can be used?
        def thickness?(row) = row.event == "reading" && !row.value.nil? && fault(row).nil?

        private

        def fault_of(reading, part)
          @normalise.call(reading, @parts[part])
          nil
        rescue InvalidEntry => e
          e.message
        end

        def split
          @split ||=
            LogEntries
              .call(@record.inspections, @record.axle.id, @instruments)
              .each_with_object([[], []]) do |entry, (good, bad)|
                because = entry.reading && fault_of(entry.reading, entry.part)
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
