# frozen_string_literal: true

module Graver
  module Core
    module Quantity
      # Splits a thickness as a person says it into number and unit: "218 thou", "7/32 in", "0.218\"", "8.4mm", "30 %".
      module EnteredLength
        # Spellings of units, by the unit they mean.
        WRITTEN = {
          "mm" => ["mm"],
          "in" => ["in", "inch", "inches", "\"", "”", "″"],
          "thou" => %w[thou mil mils thousandths],
          "32nd" => %w[32nd 32nds],
          "100th" => %w[100th 100ths hundredths],
          "percent" => %w[% percent]
        }.freeze
        UNITS = WRITTEN.flat_map { |unit, words| words.map { |word| [word, unit] } }.to_h.freeze
        SPLIT =
          /\A(.*?)\s*(#{UNITS.keys.sort_by { |word| -word.length }.map { |word| Regexp.escape(word) }.join("|")})\z/i

        module_function

        # -> [number text, unit]; the given unit is used if the text names none. The number itself is not checked.
        def split(text, unit)
          text = text.to_s.scrub("?").gsub(/[[:space:]]/, " ").strip
          return text, unit if Rational(text.tr(",", "."), exception: false)

          match = SPLIT.match(text) or return text, unit
          [match[1], UNITS.fetch(match[2].downcase)]
        end
      end
    end
  end
end
