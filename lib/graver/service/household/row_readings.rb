# frozen_string_literal: true

module Graver
  module Service
    module Household
      # Rows on file as the core reads them. A log holds the same few values again and again: each is made once.
      class RowReadings
        FIELDS = %i[part method value upper unit overall instrument_id].freeze

        # instruments: { id => Core::Measurement::Instrument }
        def initialize(instruments)
          @instruments = instruments
          @readings = {}
          @lengths = {}
        end

        # Storage::ReadingRow -> Core::Measurement::Reading, the same one for the same value; nil without a value.
        # Raises InvalidEntry.
        def reading(row)
          return unless row.value

          @readings[FIELDS.map { |field| row[field] }] ||= made(row)
        end

        # As far as places of one position have to be compared: mm, or shares of new among themselves.
        def mm(row) = @lengths[[row.value, row.unit]] ||= length(row)

        private

        def made(row)
          Core::Measurement::Reading.new(
            part: row.part,
            method: row.method,
            value: number(row.value),
            upper: row.upper && number(row.upper),
            unit: row.unit,
            overall: row.overall,
            instrument: @instruments[row.instrument_id]
          )
        end

        def length(row)
          value = row.value ? number(row.value).value : 0
          Core::Quantity::LENGTH.include?(row.unit) ? Core::Quantity::LENGTH.to_base(value, row.unit) : value.to_f
        end

        def number(text) = Core::Quantity::EnteredNumber.parse(text)
      end
    end
  end
end
