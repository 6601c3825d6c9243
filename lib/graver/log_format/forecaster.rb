# frozen_string_literal: true

module Graver
  module LogFormat
    # A log and its specification in, the forecast document out.
    class Forecaster
      # faults: those of the log, by line; notes: rows left out on purpose.
      Result = Struct.new(:document, :faults, :notes, keyword_init: true)

      def initialize(normalise:, outlook:)
        @normalise = normalise
        @outlook = outlook
        @document = ForecastDocument.new
      end

      # Raises InvalidEntry when the specification cannot be read, or says no "now" and the log has no row.
      def call(log_text, specification_text)
        specification = Specification.parse(specification_text)
        log = LogReader.new(@normalise, specification).call(log_text)
        now = now(specification, log)
        kept, later = split(log.by_axle, *now)
        driving = @outlook.driving([*kept.values.flatten.map { |entry| [entry.date, entry.odometer_km] }, now].uniq)
        answers = specification.axle_names.to_h { |axle| [axle, answer(specification, axle, kept, now, driving)] }
        notes = later.map { |entry| "#{entry.ref}: date: after the day of the forecast, left out" }
        Result.new(document: @document.call(*now, answers), faults: log.faults, notes:)
      end

      private

      def now(specification, log)
        return specification.as_of_date, specification.as_of_km if specification.as_of_date

        last = log.by_axle.values.flatten.max_by { |entry| [entry.date, entry.odometer_km] }
        raise InvalidEntry.of("as_of", "missing", Message.of("tables.as_of_missing")) unless last

        [last.date, last.odometer_km]
      end

      def split(entries, date, km)
        later = entries.values.flatten.select { |entry| entry.date > date || entry.odometer_km > km }
        [entries.transform_values { |list| list - later }, later]
      end

      def answer(specification, axle, entries, now, driving)
        others = specification.axle_names - [axle]
        @outlook.call(
          entries: entries.fetch(axle, []),
          specifications: parts(specification, axle, entries),
          beside: {
            others: others.map { |other| [entries.fetch(other, []), parts(specification, other, entries)["pad"]] }
          },
          as_of_date: now[0],
          as_of_km: now[1],
          driving:
        )
      end

      # A part fitted without a side was fitted on both.
      def parts(specification, axle, entries)
        mine = entries.fetch(axle, [])
        sides = mine.any? { |entry| entry.side.nil? } ? [] : mine.map(&:side).uniq.sort
        specification.parts(axle, sides.empty? ? %w[left right] : sides)
      end
    end
  end
end
