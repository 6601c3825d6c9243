# frozen_string_literal: true

module Graver
  module Core
    module Measurement
      # Largest minus smallest of n readings of one thing, in standard deviations: not exceeded by chance in 95 of 100.
      # Upper 5 % points of the studentized range for a known deviation (R 4.2, qtukey).
      module RangeByChance
        FACTORS = {
          2 => 2.772,
          3 => 3.314,
          4 => 3.633,
          5 => 3.858,
          6 => 4.030,
          7 => 4.170,
          8 => 4.286,
          9 => 4.387,
          10 => 4.474,
          11 => 4.552,
          12 => 4.622
        }.freeze

        # count: 2 or more; beyond the table as of its last
        def self.factor(count) = FACTORS.fetch([count, FACTORS.keys.last].min)
      end
    end
  end
end
