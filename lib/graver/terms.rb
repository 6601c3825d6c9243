# frozen_string_literal: true

module Graver
  # The owner's words in place of the usual ones: { "wheel nut" => "wheel bolt" }. Whole words only, with or without a
  # plural s: "disc" is not in "discard". Tokens stay: {pad_chance}.
  module Terms
    WORDS = Hash.new { |known, word| known[word] = /(?<![[:alpha:]_{])#{Regexp.escape(word)}(?=s?(?![[:alpha:]_]))/ }
    private_constant :WORDS

    module_function

    # text: any text; terms in the order in which they are put
    def put(text, terms) = terms.reduce(text.to_s) { |said, (usual, own)| said.gsub(WORDS[usual], own) }
  end
end
