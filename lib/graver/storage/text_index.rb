# frozen_string_literal: true

require "sqlite3"

module Graver
  module Storage
    # Finds words in texts, in memory, by SQLite's full-text search (sqlite.org, FTS5): whatever the case and accents,
    # from the beginning of a word on.
    class TextIndex
      MOST_WORDS = 12

      # texts: [text]
      def initialize(texts)
        @database = SQLite3::Database.new(":memory:")
        @database.execute("CREATE VIRTUAL TABLE texts USING fts5(said, tokenize = 'unicode61 remove_diacritics 2')")
        @database.transaction do
          insert = @database.prepare("INSERT INTO texts (rowid, said) VALUES (?, ?)")
          texts.each_with_index { |text, at| insert.execute(at + 1, text) }
          insert.close
        end
      end

      # Positions of the texts that have all these words -> [Integer]; nil where there is no word to look for
      def find(words)
        wanted = words.scan(%r{[\p{L}\p{N}][\p{L}\p{N}.,/-]*}).first(MOST_WORDS)
        return if wanted.empty?

        query = wanted.map { |word| %("#{word}"*) }.join(" AND ")
        @database.execute("SELECT rowid FROM texts WHERE texts MATCH ?", [query]).map { |row| row.first - 1 }
      end
    end
  end
end
