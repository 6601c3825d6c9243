# frozen_string_literal: true

require "tmpdir"

RSpec.describe Graver::Knowledge::Library do
  # A file's text is read once for all the changes to others.
  before do
    %i[safe_load_file parse_file].each do |name|
      known = {}
      allow(Psych).to receive(name).and_wrap_original do |parse, path|
        known[[File.basename(path), File.read(path)]] ||= parse.call(path)
      end
    end
  end

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

  it "names a broken file and every dangling reference" do
    {
      ["cautions.yml", "severity: danger", "severity: terrible"] => /\Acautions\.yml:5: jack: .*severity/,
      ["limits.yml", "    source: uk-inspection-manual\n", ""] => /limits\.yml.*source/m,
      ["limits.yml", "source: uk-inspection-manual", "source: hearsay"] => /limits\.yml:5: source “hearsay”/,
      ["tools.yml", "label: <Trolley|Floor> jack", "label: [Trolley jack"] => /tools\.yml:\d+: /,
      ["steps/ready.yml", "tools: [syringe]", "tools: [wand]"] => /level_before names tools wand/,
      ["steps/ready.yml", "requires: [settled, compared]", "needs: [pump]"] =>
        %r{steps/ready\.yml:\d+: step cool needs pump, which is in a later stage},
      ["steps/ready.yml", "  text: Clear the open", "  needs: [cool]\n  text: Clear the open"] =>
        %r{steps/ready\.yml:\d+: step settle: steps wait for each other: settle, compare},
      ["steps/safe.yml", "requires: [cool]", "requires: [cold]"] =>
        %r{steps/safe\.yml:2: step stand_still names requires cold},
      ["steps/finish.yml", "adds: [held]", "adds: [lowered]"] => /step engine_pedal requires held, which no step adds/,
      ["steps/finish.yml", "with the engine off.", "engine on."] =>
        /step pump_held runs the engine and does not say so/,
      [
        "steps/finish.yml",
        "  needs: [level_between, lever_free]\n  requires: [side_done, bled",
        "  does: [runs_engine]\n  requires: [side_done, bled"
      ] =>
        /steps wait for each other: .*pump/,
      [
        "steps/safe.yml",
        "  does: [lets_go]\n  requires: [parked]\n  needs: [trim",
        "  requires: [parked]\n  needs: [trim"
      ] =>
        /step crack_nuts lets go of what holds the vehicle/,
      %w[steps/clean.yml {says:hub} {says:piston}] =>
        %r{steps/clean\.yml:\d+: step hub_face leaves a place for piston, of which an option says nothing},
      %w[steps/clean.yml {says:hub} {says:hug}] => /step hub_face leaves a place for hug, which is no approach/,
      ["rules/approaches.yml", "says: \"Leave the lands dry.\"", "says: \"Then engine on.\""] =>
        %r{rules/approaches\.yml: under_clips\.dry runs the engine: write a step for it},
      ["rules/approaches.yml", "uses: [pin_grease_synthetic]", "uses: [butter]"] =>
        /synthetic names uses butter, not there/,
      ["procedures/facts.yml", "on its stand\", apart", "on its stand\", optional: true, apart"] =>
        /hazards.yml requires chocked, which is optional/,
      ["rules/scope.yml", "companions: [pads]", "companions: [prayer]"] =>
        %r{\Arules/scope\.yml:\d+: rotors_new: work prayer is not there\z},
      ["tools.yml", "instead: [clamp]", "instead: [stone]"] => /\Atools\.yml:\d+: press names stone/,
      ["brake_data.yml", "choices: drives, waits", "choices: wishes, waits"] => /choices wishes/,
      # as YAML reads an option called off: false
      ["rules/approaches.yml", "      none: { label", "      off: { label"] =>
        %r{rules/approaches\.yml:\d+: off: quote it, or it is read as true or false},
      ["tools.yml", "id: jack", "id: no"] => /^tools\.yml:\d+: no: quote it/,
      ["inspection.yml", "part: shoe, method: caliper", "part: lining, method: caliper"] =>
        /\Ainspection\.yml:\d+: shoe: caliper reads no lining/,
      ["inspection.yml", "part: runout, method: dial", "part: runout, method: divination"] =>
        /\Ainspection\.yml:\d+: runout: divination reads no runout/
    }.each do |change, message|
      with_change(*change) { |load| expect(&load).to raise_error(Graver::KnowledgeError, message) }
    end
  end

  it "loads what is shipped, every limit with its source" do
    library = described_class.load
    expect(library.limits["pad_limits"].map { |limit| library.source_title(limit["source"]) }).to all(be_a(String))
    expect(library.procedure.steps.count(&:mandatory)).to be > 10
  end
end
