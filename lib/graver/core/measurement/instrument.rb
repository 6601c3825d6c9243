# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # One measuring tool of the owner's; lengths in mm, nil where the owner does not know.
      #
      # - method: the method it serves ("caliper", "micrometer", ...)
      # - least_mm, most_mm: its range
      # - resolution_mm: the smallest step it shows
      # - standard_uncertainty_mm: of the tool itself, without how it is held to the part
      Instrument =
        Value.define(:method, :least_mm, :most_mm, :resolution_mm, :standard_uncertainty_mm) do
          # Raises InvalidEntry (field "value") for a value the tool cannot have shown.
          def check(value_mm)
            return if (least_mm.nil? || value_mm >= least_mm - 1e-9) && (most_mm.nil? || value_mm <= most_mm + 1e-9)

            range = [least_mm, most_mm].map { |bound| bound ? format("%.4g", bound) : "?" }.join(" to ")
            raise InvalidEntry.of(
                    "value",
                    "out_of_instrument_range",
                    Message.of("faults.outside_instrument", value: value_mm, range:)
                  )
          end
        end
    end
  end
end
