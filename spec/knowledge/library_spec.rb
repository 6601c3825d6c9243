# frozen_string_literal: true

require "tmpdir"

RSpec.describe Graver::Knowledge::Library do
  # A copy of the shipped files with one of them changed.
  def with_change(name, from, to)
    Dir.mktmpdir do |folder|
      FileUtils.cp_r("#{described_class::FOLDER}/.", folder)
      path = File.join(folder, name)
      text = File.read(path)
      raise "nothing to change in #{name}" unless text.include?(from)

      File.write(path, text.sub(from, to))
      yield -> { described_class.load(folder) }
    end
  end

  it "names the file when it is broken, and every dangling name" do
    { ["cautions.yml", "severity: danger", "severity: terrible"] => /cautions\.yml.*terrible|cautions\.yml.*not one of/m,
      ["limits.yml", "    source: uk-inspection-manual\n", ""] => /limits\.yml.*source/m,
      ["limits.yml", "source: uk-inspection-manual", "source: hearsay"] => /limits\.yml: source “hearsay”/,
      ["tools.yml", "label: Trolley jack", "label: [Trolley jack"] => /tools\.yml:\d+: /,
      ["steps/ready.yml", "tools: [syringe]", "tools: [wand]"] => /level_before names tools wand/,
      ["steps/ready.yml", "requires: [settled, compared]", "needs: [pump]"] => %r{steps/ready\.yml:\d+: step cool needs pump, which is in a later stage},
      ["steps/ready.yml", "  text: Settle", "  needs: [cool]\n  text: Settle"] => %r{steps/ready\.yml:4: step settle: steps wait for each other: settle, compare},
      ["steps/safe.yml", "requires: [cool]", "requires: [cold]"] => %r{steps/safe\.yml:2: step park_front names requires cold},
      ["steps/safe.yml", "gives: [chocked]", "gives: [raised]"] => /step lift requires chocked, which no step gives/,
      ["rules/scope.yml", "with: [pads]", "with: [prayer]"] => /work prayer is not there/,
      ["tools.yml", "instead: [clamp]", "instead: [stone]"] => /press names stone/,
      ["brake_data.yml", "choices: drives, waits", "choices: wishes, waits"] => /choices wishes/ }.each do |change, message|
      with_change(*change) { |load| expect(&load).to raise_error(Graver::KnowledgeError, message) }
    end
  end

  it "loads what is shipped, every limit with its source" do
    library = described_class.load
    expect(library.limits["pad_limits"].map { |limit| library.source_title(limit["source"]) }).to all(be_a(String))
    expect(library.procedure.steps.count(&:gate)).to be > 10
  end
end
