# frozen_string_literal: true

require "json"

module Graver
  module Storage
    # Events never change, and a tick reads all of its job again: each text is parsed once.
    class JsonTexts
      MOST_BYTES = 8_000_000

      def initialize
        @known = {}
        @bytes = 0
        @lock = Mutex.new
      end

      # The text's content, frozen throughout.
      def parse(text)
        @lock.synchronize do
          next @known[text] = @known.delete(text) if @known.key?(text)

          JSON.parse(text, freeze: true).tap { |content| keep(text, content) }
        end
      end

      private

      # Drops what was read longest ago.
      def keep(text, content)
        @known[text] = content
        @bytes += text.bytesize
        @bytes -= @known.shift.first.bytesize while @bytes > MOST_BYTES && @known.length > 1
      end
    end
  end
end
