# frozen_string_literal: true

module Graver
  module Service
    module Measuring
      # A pad measured in a photo next to something of known length.
      class PhotoMeasurement
        # mm; what may be known: shorter, and marks in a photo say little
        LENGTHS = (1..200)

        def initialize(knowledge)
          @rules = knowledge.measurement.fetch("photo")
        end

        # given: as in API::Contracts::PhotoMarks -> Core::Measurement::PhotoMeasure::Result. Raises InvalidEntry.
        def call(given)
          known = choice("known", given[:known])
          marks =
            Core::Measurement::PhotoMeasure::Marks.new(
              known_mm: length_mm(given[:length]),
              known_sd_mm: known.fetch("standard_uncertainty_mm"),
              known: given[:ends].each_slice(2).to_a,
              wanted: given[:edges].each_slice(2).to_a,
              away_mm: choice("away", given[:away]).fetch("mm"),
              frame: given[:size],
              mark_sd_px: [given[:pixel] || 0, @rules.fetch("mark_standard_uncertainty_px")].max
            )
          Core::Measurement::PhotoMeasure.new(@rules).call(marks)
        end

        private

        def choice(field, id)
          @rules.fetch(field).find { |each| each["id"] == id } ||
            raise(InvalidEntry.of(field, "unknown_choice", Message.of("faults.choose", choices: ids(field))))
        end

        def ids(field) = @rules.fetch(field).map { |each| each["id"] }

        def length_mm(text)
          number, unit = Core::Quantity::EnteredLength.split(text, "mm")
          value = Core::Quantity::EnteredNumber.parse(number).value
          mm = Core::Quantity::LENGTH.include?(unit) ? Core::Quantity::LENGTH.to_base(value, unit).to_f : nil
          return mm if mm && LENGTHS.cover?(mm)

          range = { least: LENGTHS.min, most: LENGTHS.max }
          raise InvalidEntry.of("", "out_of_range", Message.of("faults.between", **range))
        rescue InvalidEntry => e
          raise e.under("length")
        end
      end
    end
  end
end
