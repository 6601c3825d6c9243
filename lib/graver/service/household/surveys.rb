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

        # -> [[[ReadingRow] by one tool, date], ...], newest first; lazily, as mostly only the newest is wanted
        def of(part, side, pad = nil)
          rows(part, side, pad)
            .slice_when { |one, other| !one.last.equal?(other.last) }
            .map { |run| [by_best_tool(run.map(&:first).reverse), run.first.last.date] }
        end

        private

        # Readings since the part they were read on was renewed, newest first: [[ReadingRow, Inspection], ...]
        def rows(part, side, pad)
          on = READ_ON.fetch(part, part)
          @record
            .rows([part, on])
            .reverse_each
            .lazy
            .select { |row, _| here?(row, side, pad) }
            .take_while { |row, _| row.part != on || !RENEWALS.include?(row.event) }
            .select { |row, _| counts?(row, part) }
        end

        def here?(row, side, pad) = (row.side.nil? || row.side == side) && (row.pad.nil? || row.pad == pad)

        def counts?(row, part)
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
