# frozen_string_literal: true

require "fileutils"
require_relative "support/sentences"

# Labels glued into templates are where nonsense comes from: here each is read in its sentence. tmp/sentences.txt is for
# a reader; what a machine can see is checked.
RSpec.describe Sentences do
  subject(:all) { described_class.new(KNOWLEDGE).all }

  let(:texts) { plain(all.values.flatten) }

  it "writes every sentence into one file, with nothing left to fill in" do
    path = File.join(Graver::Boot::ROOT, "tmp/sentences.txt")
    FileUtils.mkdir_p(File.dirname(path))
    File.write(path, described_class.new(KNOWLEDGE).to_s)
    expect(texts.length).to be > 1500
    expect(texts.grep(/[{}]|<\w+\|\w+>/)).to be_empty
  end

  it "has no gaps, doubled stops or sentences that begin small" do
    expect(texts.grep(/ {2}|\s[.,;:](?!\S)|[.,;:]{2}(?!\.)|^\s|\s$/).grep_v(/____/)).to be_empty
    expect(texts.grep(/[.!?] [a-z]/).grep_v(/\be\.g\. |No\. |\. [a-z]+:/)).to be_empty
  end

  # words.md's table, as far as a machine can tell.
  it "uses one word for each thing" do
    banned =
      /\b(nobody|anew|goes on|worked out|works? it out|put away|taken? back|had back|as a rule|all the same|for ever|held against|of its own|let in|shut out|look-over|walk-round|open ends?|diagnostic (unit|reader)|turned rotors?|resurfaced|leaf gauge|crosswise|once only|further angle)\b|\bmaker('s|s)?\b/i
    expect(texts.grep(banned)).to be_empty
  end
end
