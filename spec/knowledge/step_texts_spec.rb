# frozen_string_literal: true

# A step is read aloud to somebody under the car, so it is short and starts with what to do.
RSpec.describe "Texts of the steps" do
  let(:library) { KNOWLEDGE }
  let(:steps) { library.procedure.steps }
  let(:said) do
    library.approaches["job"].flat_map do |kind, all|
      all["options"].filter_map { |_, each| [kind, each["says"]] if each["says"] }
    end
  end
  let(:texts) do
    steps.map { |step| [step.id, step.text] } + steps.filter_map { |step| [step.id, step.late] if step.late } + said
  end
  let(:verbs) { <<~WORDS.split }
    Apply Back Bed Bend Break Brush Check Chock Clamp Clean Clear Clip Compare Connect Deglaze Draw Drive Fit Hang Hitch Hold Hook
    If Jack Keep Lay Leave Let Lift Look Lower Make Mark Measure Note Open Pack Park Photograph Pick Plug Press Pry Pull Pump Push Put Read
    Release Reuse Reverse Run Screw Seat Set Shake Slacken Slide Soak Spin Start Stop Swing Take Tighten Torque Turn Unclip Undo Unlock Use Wash Wet
    When Wind Wipe
  WORDS

  def sentences(text) = text.gsub(/\{says:\w+\}/, "").split(/(?<=[.?!])\s+/).map(&:strip).reject(&:empty?)

  it "start with a verb or a condition, approaches included" do
    expect(texts.reject { |_, text| text.start_with?("{says:") || verbs.include?(text[/\w+/]) }).to be_empty
  end

  it "have at most two sentences, and one more with 'If' or 'When'" do
    plain = ->(text) { sentences(text).reject { |each| each.start_with?("If ", "When ") }.size }
    expect(steps.select { |step| plain.call(step.text) > 2 || sentences(step.text).size > 3 }.map(&:id)).to be_empty
  end

  it "have sentences of at most 22 words" do
    expect(texts.select { |_, text| sentences(text).any? { |each| each.split.size > 22 } }).to be_empty
  end

  it "contain every term that a variant replaces" do
    written = YAML.load_file("knowledge/brake_data.yml").fetch("terms")
    terms = Graver::English.put(written, "us").values.flat_map(&:values).flat_map(&:keys)
    judged =
      %w[rules/findings.yml rules/state.yml messages/en.yml brake_data.yml].map do |file|
        File.read("knowledge/#{file}")
      end
    said = texts.map(&:last) + library.fasteners.map(&:label) + [Graver::English.put(judged.join, "us")]
    expect(terms.reject { |term| said.any? { |text| text.include?(term) } }).to be_empty
  end

  it "call a good pedal firm and use no banned words" do
    banned =
      /\bhard\b(?! stop)|\bnobody\b|\bhome\b|\bgoes on\b|\bas a rule\b|\bof its own\b|\ball the same\b|\bno more than\b|\bmaker\b|\bcrack (?:it|the|them)\b/i
    whys = steps.filter_map { |step| [step.id, step.why] if step.why }
    cautions = library.cautions.map { |id, caution| [id, caution.text] }
    expect((texts + whys + cautions).select { |_, text| text.to_s.match?(banned) }).to be_empty
  end
end
