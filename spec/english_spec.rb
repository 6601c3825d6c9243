# frozen_string_literal: true

RSpec.describe Graver::English do
  let(:spoken) { Graver::Say::Spoken }

  it "puts a text that carries both forms into one, keys and lists too, and leaves everything else" do
    written = { "<tyre|tire>" => ["Lift the <tyre|tire>s", 3, nil], "label" => "a < b | c > d" }
    expect(described_class.put(written, "uk")).to eq("tyre" => ["Lift the tyres", 3, nil], "label" => "a < b | c > d")
    expect(described_class.put(written, "us")).to eq("tire" => ["Lift the tires", 3, nil], "label" => "a < b | c > d")
  end

  it "applies to one thread and one block" do
    said = spoken.in("uk") { [spoken.english, Thread.new { spoken.english }.value] }
    expect(said + [spoken.english]).to eq(%w[uk us us])
    expect { spoken.in("uk") { raise "broken off" } }.to raise_error("broken off")
    expect(spoken.english).to eq("us")
  end

  it "applies to texts and knowledge" do
    text = -> { Graver::Say::Texts.t("timeline.order", axle: "front", part: "rotors") }
    expect([text.call, spoken.in("uk", &text)]).to eq(["Order front rotors", "Order front discs"])
    expect(%w[us uk].map { |english| KNOWLEDGE.in(english).fastener("wheel_nut").label }).to eq(
      ["Lug nuts", "Wheel nuts"]
    )
  end

  # None of the words that differ stands alone in a source.
  describe "in the sources" do
    words =
      /\b(?:rotors?|discs?|(?:wheel|lug) (?:nut|bolt)s?|spanners?|(?:axle|jack) stands?|tyres?|tires?|bonnet|hood|split pins?|millimet(?:re|er)s?)\b/i
    strings =
      lambda do |content|
        case content
        when Hash
          content.flat_map { |key, value| strings.call(key) + strings.call(value) }
        when Array
          content.flat_map(&strings)
        else
          [content].grep(String)
        end
      end
    alone = ->(texts) { texts.grep(/\s|\A[A-Z]/).select { |text| text.gsub(described_class::FORMS, "").match?(words) } }

    it "finds both forms in the knowledge" do
      files = Dir.glob("#{Graver::Boot::ROOT}/knowledge/**/*.yml").grep_v(%r{/schema/|sources\.yml})
      expect(files.flat_map { |file| alone.call(strings.call(YAML.safe_load_file(file))) }).to be_empty
    end

    it "finds both forms in the texts of the screens" do
      files = Dir.glob("#{Graver::Boot::ROOT}/web/src/texts/*.ts")
      texts = files.flat_map { |file| File.read(file).scan(/"((?:[^"\\\n]|\\.)*)"/).flatten }
      # the setting itself names the words of both
      expect(alone.call(texts).grep_v(/\A(American|British): /)).to be_empty
    end
  end
end
