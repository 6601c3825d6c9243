# frozen_string_literal: true

module Graver
  module Service
    module Axles
      # Look-overs as stored -> the entries of one axle's log. Several places of one position become one entry with the
      # thinnest of them, which is the one that counts.
      module LogEntries
        # A reading the owner kept against a question is trusted half as much.
        DOUBTED_TRUST = 0.5
        # What the forecast follows; runout, parking shoes and the like are on file beside it.
        PARTS = %w[pad rotor].freeze
        # What happened says how thick it was; a figure beside it says nothing more.
        EVENTS_THAT_SAY_ALL = %w[squealer sensor metal freed].freeze
        POSITION = %i[event part side pad method unit overall instrument_id].freeze

        module_function

        # instruments: { id => Core::Measurement::Instrument }
        def call(look_overs, axle_id, instruments = {})
          look_overs.flat_map do |look_over|
            mine = look_over.readings.select { |row| row.axle_id == axle_id && PARTS.include?(row.part) }
            mine
              .chunk_while { |one, other| same_position?(one, other) }
              .map { |places| entry(look_over, places, instruments) }
          end
        end

        def same_position?(one, other) = POSITION.all? { |field| one[field] == other[field] } && other.place > one.place

        def entry(look_over, places, instruments)
          thinnest =
            if places.length == 1
              places.first
            else
              places.min_by { |row| row.value ? number(row.value).value : 0 }
            end
          Core::Wear::Entry.new(
            date: look_over.date,
            odometer_km: look_over.odometer_km,
            part: thinnest.part,
            side: thinnest.side,
            pad: thinnest.pad,
            event: thinnest.event,
            reading: EVENTS_THAT_SAY_ALL.include?(thinnest.event) ? nil : reading(thinnest, instruments),
            trust: places.any?(&:doubt) ? DOUBTED_TRUST : 1.0,
            ref: thinnest.id
          )
        end

        def reading(row, instruments)
          return unless row.value

          Core::Measurement::Reading.new(
            part: row.part,
            method: row.method,
            value: number(row.value),
            upper: row.upper && number(row.upper),
            unit: row.unit,
            overall: row.overall,
            instrument: instruments[row.instrument_id]
          )
        end

        def number(text) = Core::Quantity::EnteredNumber.parse(text)
      end
    end
  end
end
