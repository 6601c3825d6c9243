# frozen_string_literal: true

require "date"

module Graver
  module Storage
    # Measuring tools of the household, with their zero checks.
    class Instruments
      def initialize(database)
        @instruments = database[:instruments]
        @all_checks = database[:zero_checks]
        @checks = database[:zero_checks].exclude(id: database[:withdrawn_checks].select(:zero_check_id))
        @withdrawn = database[:withdrawn_checks]
      end

      # fields: name, method, unit, least, most, resolution, uncertainty (texts as entered or nil) -> Instrument
      def add(fields, at:) = find(@instruments.insert(**fields, recorded_at: at))

      # fields: any of #add, and retired_at -> Instrument. Raises NotFound.
      def change(id, fields)
        @instruments.where(id:).update(fields) unless fields.empty?
        find(id)
      end

      # In the order they were added, put-away ones too.
      def all
        checks = @checks.order(:date, :id).all.group_by { |row| row[:instrument_id] }
        @instruments.order(:id).map { |row| record(row, checks.fetch(row[:id], [])) }
      end

      # Raises NotFound.
      def find(id)
        row = @instruments.first(id:) or raise NotFound, Message.of("missing.instrument")
        record(row, @checks.where(instrument_id: id).order(:date, :id).all)
      end

      # date: Date; reference, read: texts in unit
      def add_check(instrument_id, date:, reference:, read:, unit:, at:)
        @all_checks.insert(instrument_id:, date: date.iso8601, reference:, read:, unit:, recorded_at: at)
      end

      # It stays on file, and counts no more.
      def withdraw_check(id, at:) = @withdrawn.insert(zero_check_id: id, recorded_at: at)

      private

      def record(row, checks)
        fields = row.slice(:id, :name, :method, :unit, :least, :most, :resolution, :uncertainty)
        Instrument.new(**fields, retired: !row[:retired_at].nil?, checks: checks.map { |check| zero_check(check) })
      end

      def zero_check(row) = ZeroCheckRow.new(**row.slice(:id, :reference, :read, :unit), date: Date.iso8601(row[:date]))
    end
  end
end
