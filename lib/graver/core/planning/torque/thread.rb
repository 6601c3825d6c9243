# frozen_string_literal: true

module Graver
  module Core
    module Planning
      # A fastener's thread as written: "M10 x 1.25", "10x1.25x30" (with its length), "M8" (coarse), "1/2-20".
      module Thread
        METRIC = /\AM?\s?(\d{1,2})(?:\s?[x×]\s?(\d(?:[.,]\d{1,2})?)(?:\s?[x×]\s?(\d{1,3}))?)?\z/i

        module_function

        # table: { "metric" => { "10" => [1.5, 1.25, 1.0] }, "inch" => ["1/2-20"] } -> the thread as it is written,
        # "M10 x 1.25"; nil when there is no such thread.
        def normal(text, table)
          text = text.strip
          return text if table.fetch("inch").include?(text)

          diameter, pitch, length = METRIC.match(text)&.captures
          pitches = table.fetch("metric")[diameter] or return
          return unless pitch.nil? || pitches.include?(pitch.tr(",", ".").to_f)

          ["M#{diameter}", *[pitch&.tr(",", "."), length].compact].join(" x ")
        end
      end
    end
  end
end
