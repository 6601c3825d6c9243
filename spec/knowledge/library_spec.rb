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
      ["tools.yml", "jack: Trolley jack", "jack: [Trolley jack"] => /tools\.yml:\d+: /,
      ["procedures/pads.yml", "tools: [syringe]", "tools: [wand]"] => /level_before names tools wand/,
      ["procedures/pads.yml", "needs: [settle]", "needs: [pump]"] => /compare needs pump, which is in a later stage/,
      ["procedures/pads.yml", "gate: true\n    text: Settle", "gate: true\n    needs: [compare]\n    text: Settle"] => /steps wait for each other: settle, compare/,
      ["brake_data.yml", "choices: drives, waits", "choices: wishes, waits"] => /choices wishes/ }.each do |change, message|
      with_change(*change) { |load| expect(&load).to raise_error(Graver::KnowledgeError, message) }
    end
  end

  it "loads what is shipped, every limit with its source" do
    library = described_class.load
    expect(library.limits["pad_limits"].map { |limit| library.source_title(limit["source"]) }).to all(be_a(String))
    expect(library.procedure.steps.count(&:gate)).to be > 10
  end

  # fact of the trade: a caliper kind without a way for its piston home, or a bolt nobody tightens, is a hole; no source
  it "brings every piston home and tightens everything it undoes, for every caliper" do
    library = described_class.load
    library.calipers.each do |caliper|
      vehicle = caliper["vehicles"].first
      %w[none cable electric drum_in_hat].each do |parking|
        next if vehicle == "motorcycle" && parking != "none"

        placed = Graver::Core::Planning::Sequence.new(library.procedure).call(
          { "vehicles" => vehicle, "axles" => "rear", "calipers" => caliper["id"], "parking_brakes" => parking, "sensors" => [] }, ["left"]
        )
        ids = placed.map { |each| each.step.id }
        expect(ids & %w[piston_home piston_wound pistons_apart]).to have_attributes(length: 1), "#{caliper["id"]} #{parking}"
        expect(placed.flat_map { |each| each.step.fasteners }.uniq).to match_array(placed.flat_map { |each| each.step.tighten }.uniq)
      end
    end
  end
end
