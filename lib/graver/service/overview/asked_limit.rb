# frozen_string_literal: true

module Graver
  module Service
    module Overview
      # Another limit for pads to ask with, in mm, as typed.
      module AskedLimit
        RANGE_MM = (1..12)

        module_function

        # text: nil or empty for the one that counts -> mm. Raises InvalidEntry under limit_mm.
        def call(record, text)
          return record.limit_mm if text.to_s.empty?

          limit = Core::Quantity::EnteredNumber.parse(text).value.to_f
          return limit if RANGE_MM.cover?(limit)

          raise InvalidEntry.of(
                  "",
                  "out_of_range",
                  Message.of("faults.limit_between", least: RANGE_MM.min, most: RANGE_MM.max)
                )
        rescue InvalidEntry => e
          raise e.under("limit_mm")
        end
      end
    end
  end
end
