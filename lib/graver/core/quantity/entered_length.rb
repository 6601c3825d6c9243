# frozen_string_literal: true

module Graver
  module Core
    module Quantity
      # A thickness as a person calls it out: number and unit, "218 thou", "7/32 in", "0.218\"", "8.4mm", "30 %".
      module EnteredLength
        # How units are written, by the unit they mean.
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

        # -> [number text, unit]; the unit given stands where the text names none. The number itself is not looked at.
        def split(text, unit)
          text = text.to_s.scrub("?").strip
          return text, unit if Rational(text.tr(",", "."), exception: false)

          match = SPLIT.match(text) or return text, unit
          [match[1], UNITS.fetch(match[2].downcase)]
        end
      end
    end
  end
end
