# frozen_string_literal: true

module Graver
  module Service
    module Logbook
      # Which of many lines have all the words, in their order.
      class Search
        # lines: [[line, text it is found by], ...]
        def initialize(lines)
          @lines = lines.map(&:first)
          @index = Storage::TextIndex.new(lines.map(&:last))
        end

        # words: text; nothing in it: all -> [line]
        def call(words)
          found = @index.find(words.to_s)
          found ? @lines.values_at(*found.sort) : @lines
        end
      end
    end
  end
end
