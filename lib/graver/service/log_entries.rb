# frozen_string_literal: true

require_relative "../core/measurement/reading"
require_relative "../core/quantity/entered_number"
require_relative "../core/wear/entry"

module Graver
  module Service
    # Look-overs as stored -> the entries of one axle's log. Several places of one position become one entry with the
    # thinnest of them, which is the one that counts.
    module LogEntries
      # A reading the owner kept against a question is trusted half as much.
      DOUBTED_TRUST = 0.5

      module_function

      def call(look_overs, axle_id)
        look_overs.flat_map do |look_over|
          mine = look_over.readings.select { |row| row.axle_id == axle_id }
          mine.chunk_while { |one, other| same_position?(one, other) }.map { |places| entry(look_over, places) }
        end
      end

      def same_position?(one, other)
        %i[event part side pad method unit overall].all? { |field| one[field] == other[field] } && other.place > one.place
      end

      def entry(look_over, places)
        thinnest = places.min_by { |row| row.value ? Core::Quantity::EnteredNumber.parse(row.value).value : 0 }
        Core::Wear::Entry.new(date: look_over.date, odometer_km: look_over.odometer_km, part: thinnest.part, side: thinnest.side,
                              pad: thinnest.pad, event: thinnest.event, reading: reading(thinnest),
                              trust: places.any?(&:doubt) ? DOUBTED_TRUST : 1.0, ref: thinnest.id)
      end

      def reading(row)
        return unless row.value

        Core::Measurement::Reading.new(part: row.part, method: row.method, value: Core::Quantity::EnteredNumber.parse(row.value),
                                       upper: row.upper && Core::Quantity::EnteredNumber.parse(row.upper), unit: row.unit, overall: row.overall)
      end
    end
  end
end
