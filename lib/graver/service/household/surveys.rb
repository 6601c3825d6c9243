# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Places read at one position of an axle, inspection by inspection, on the part that is on now.
      class Surveys
        RENEWALS = %w[fit resurfaced].freeze
        # The part a reading is taken on, if its name differs.
        READ_ON = { "runout" => "rotor" }.freeze

        # record: AxleRecord
        def initialize(record, knowledge)
          @record = record
          @knowledge = knowledge
        end

        # -> [[[ReadingRow] by one tool, date], ...], oldest first
        def of(part, side, pad = nil)
          rows = @record.inspections.flat_map { |inspection| rows(inspection, part, side, pad) }
          since = rows.rindex { |row, _| RENEWALS.include?(row.event) } || -1
          rows
            .drop(since + 1)
            .chunk_while { |one, other| one.last.equal?(other.last) }
            .map { |run| [by_best_tool(run.map(&:first)), run.first.last.date] }
        end

        private

        # Readings, and what renewed the part they were read on: [[ReadingRow, Inspection], ...]
        def rows(inspection, part, side, pad)
          here = inspection.readings.select { |row| row.axle_id == @record.axle.id && here?(row, side, pad) }
          here.select { |row| counts?(row, part) }.map { |row| [row, inspection] }
        end

        def here?(row, side, pad) = [nil, side].include?(row.side) && [nil, pad].include?(row.pad)

        def counts?(row, part)
          return READ_ON.fetch(part, part) == row.part if RENEWALS.include?(row.event)

          row.part == part && row.event == "reading" && !row.value.nil? && @record.fault(row).nil?
        end

        # Places are compared by one tool alone: a measuring one, the one that read most of them, the better of equals.
        def by_best_tool(rows)
          rows
            .group_by { |row| [row.method, row.instrument_id] }
            .values
            .max_by { |group| [@knowledge.precise?(group.first.method) ? 1 : 0, group.length, -error_mm(group.first)] }
        end

        def error_mm(row)
          @knowledge.normalise.call(@record.reading_of(row), @record.part(row.part)).standard_uncertainty_mm
        end
      end
    end
  end
end
