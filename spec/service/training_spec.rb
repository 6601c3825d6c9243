# frozen_string_literal: true

# Instruments by their definitions, judgements by the trade (common practice, no source, where nothing else is said).
RSpec.describe Graver::Service::Training::Drills do
  let(:drills) { described_class.new(KNOWLEDGE) }

  # An exercise is its seed's own: drawn once for all examples.
  known = {}

  define_method(:drilled) { |kind, seed| known[[kind, seed]] ||= drills.find(kind, seed.to_s) }
  def seeds = 1..60
  def solution(kind, seed) = drilled(kind, seed).mark(any_answer(kind, seed)).should
  def any_answer(kind, seed)
    question = drilled(kind, seed).question
    {
      "number" => "1",
      "choice" => question.choices.first&.fetch(:id),
      "order" => question.choices.map { |each| each[:id] }
    }.fetch(question.form)
  end
  # The right answer as it would be given.
  def right(kind, seed)
    question, said = drilled(kind, seed).question, solution(kind, seed)
    return said.to_f.to_s if question.form == "number"

    ids = question.choices.to_h { |each| each.values_at(:label, :id) }
    question.form == "choice" ? ids.fetch(said) : said.split(" → ").map { |label| ids.fetch(label) }
  end

  it "draws the same exercise for the same seed and accepts its own answer" do
    described_class::KINDS.each_key do |kind|
      again = drills.find(kind, "7").question
      expect(drilled(kind, 7).question).to eq(again)
      expect(seeds.map { |seed| drilled(kind, seed).question }.uniq.length).to be > 4
      seeds.each do |seed|
        expect(drilled(kind, seed).mark(right(kind, seed))).to have_attributes(right: true, slip: nil)
      end
    end
  end

  it "asks about rotors and pads in the household's units" do
    said =
      Graver::Say::Spoken.in("us", { "pad" => "in", "rotor" => "in" }) do
        %w[rotor lip uneven].map { |kind| drilled(kind, 3).question.text.to_s }
      end
    expect(said).to all(match(/\d\.\d+\p{Space}in\b/))
    expect(said.join).not_to match(/\d\p{Space}mm/)
    expect(drilled("rotor", 3).question.text.to_s).to match(/\d\.\d\d\p{Space}mm/)
  end

  it "reads a micrometer by its pitch: sleeve in halves, thimble in hundredths" do
    seeds.each do |seed|
      picture = drilled("micrometer", seed).question.picture
      value = picture[:sleeve] + (picture[:thimble] / 100.0)
      expect(solution("micrometer", seed)).to eq(format("%.2f mm", value))
      expect(drilled("micrometer", seed).mark(format("%.2f", value + 0.01))).to have_attributes(
        right: false,
        slip: /line or two/
      )
      half = picture[:sleeve] != picture[:sleeve].floor
      slip = drilled("micrometer", seed).mark((value + (half ? -0.5 : 0.5)).round(2).to_s).slip
      expect(slip).to match(half ? /half line below is visible/ : /isn't visible yet/)
    end
  end

  it "reads a vernier by its definition: the line that meets one of the rule counts the twentieths" do
    seeds.each do |seed|
      value = drilled("vernier", seed).question.picture[:value]
      # lines of the slide stand 0.95 mm apart
      meeting = (0..19).min_by { |line| (value + (line * 0.95)).then { |at| (at - at.round).abs } }
      expect(solution("vernier", seed)).to eq(format("%.2f mm", value.floor + (meeting * 0.05)))
      expect(drilled("vernier", seed).mark(format("%.2f", value + 1)).slip).to include("whole millimeters aren't")
      expect(drilled("vernier", seed).mark(format("%.2f", value + 0.1)).right).to be(false)
      expect(drilled("vernier", seed).mark(format("%.2f", value + 0.05)).right).to be(true)
    end
  end

  # A micrometer in inches has 40 threads to the inch and 25 lines on its thimble (ASME B89.1.13, from memory).
  it "reads instruments in inches by their definitions" do
    inches = described_class.new(KNOWLEDGE, rotor_unit: "in")
    seeds.each do |seed|
      drill = inches.find("micrometer", seed.to_s)
      picture = drill.question.picture
      turns = (picture[:sleeve] * 40).round
      value = turns.fdiv(40) + (picture[:thimble] / 1000.0)
      expect(drill.mark(format("%.3f", value))).to have_attributes(right: true, should: format("%.3f in", value))
      expect(picture[:thimble]).to be < 25
      slip = drill.mark(format("%.3f", value + ((turns % 4).zero? ? 0.025 : -0.025))).slip
      expect(slip).to match((turns % 4).zero? ? /one turn too many/i : /one turn short/i)
      expect(drill.mark(format("%.3f", value + 0.1)).slip).to match(/whole tenths off/i)

      slide = inches.find("vernier", seed.to_s)
      stands = slide.question.picture[:value]
      # lines of the slide stand 0.024 in apart, those of the rule 0.025 in
      meeting = (0..24).min_by { |line| ((stands + (line * 0.024)) * 40).then { |at| (at - at.round).abs } }
      should = ((stands * 40).floor / 40.0) + (meeting / 1000.0)
      expect(slide.mark(format("%.3f", should))).to have_attributes(right: true)
      expect(slide.mark(format("%.3f", should + 0.025)).slip).to include("count the last line")
    end
    dial = inches.find("dial", "5")
    swing = dial.question.picture.then { |face| (face[:high] - face[:low]) * 0.0005 }
    expect(dial.mark(swing.to_s)).to have_attributes(right: true, should: format("%.4f in", swing))
    expect(dial.mark((swing / 2).to_s).right).to be(false)
  end

  it "takes the whole swing as runout" do
    picture = drilled("dial", 3).question.picture
    swing = picture[:high] - picture[:low]
    expect(solution("dial", 3)).to eq(format("%.2f mm", swing / 100.0))
    even = seeds.find { |seed| drilled("dial", seed).question.picture.then { |each| (each[:high] - each[:low]).even? } }
    half = solution("dial", even).to_f / 2
    expect(drilled("dial", even).mark(half.to_s)).to have_attributes(right: false, slip: /half of it/)
  end

  it "takes two gauges as an interval" do
    expect(solution("leaf", 2)).to match(/Between (\d) and (\d)\u00A0mm/)
    expect(drilled("leaf", 2).mark("exactly")).to have_attributes(right: false, slip: /nearer/)
  end

  it "puts the micrometer inside the lip" do
    seeds.each do |seed|
      picture = drilled("lip", seed).question.picture
      place = picture[:places].find { |each| each[:id] == right("lip", seed) }
      expect(place[:from_edge_mm]).to be_between(8, 16)
      edge = picture[:places].min_by { |each| each[:from_edge_mm] }
      expect(drilled("lip", seed).mark(edge[:id]).slip).to include("lip, where no pad runs")
    end
    # a rotor under its limit that a reading on the lip would let pass
    done =
      seeds.find { |seed| drilled("lip", seed).question.picture.then { |each| each[:face_mm] < each[:discard_mm] } }
    expect(drilled("lip", done).mark("a").because).to include("is worn out")
  end

  it "tells stuck pins, a dragging corner and plain error apart" do
    found = seeds.group_by { |seed| right("uneven", seed) }
    expect(found.keys).to match_array(%w[left_pins right_pins left_corner right_corner nothing])
    found.each do |id, of|
      of.each do |seed|
        mm = drilled("uneven", seed).question.picture[:pads].to_h { |pad| [[pad[:side], pad[:pad]], pad[:mm]] }
        side = id[/left|right/] || "left"
        inner, outer = mm[[side, "inner"]], mm[[side, "outer"]]
        case id
        when /pins/
          expect(outer - inner).to be > 1.5
        when /corner/
          expect((outer - inner).abs).to be < 0.5
        else
          expect(mm.values.max - mm.values.min).to be < 0.5
        end
      end
    end
  end

  it "judges a rotor like a real one: on the limit is out, within the error is open, too thin to machine is out" do
    found = seeds.to_h { |seed| [seed, right("rotor", seed)] }
    expect(found.values.uniq).to match_array(%w[stay turn replace measure_again])
    found.each do |seed, id|
      text = drilled("rotor", seed).question.text
      reading, discard = text.to_s.scan(/\d+\.\d+\u00A0mm/).map(&:to_f).values_at(0, 2)
      grooved = text.include?("deep groove")
      expected =
        if reading <= discard
          "replace"
        elsif grooved
          reading - discard > 1.2 ? "turn" : "replace"
        elsif reading - discard < 0.06
          "measure_again"
        else
          "stay"
        end
      expect([seed, id]).to eq([seed, expected])
    end
  end

  it "accepts one order of five steps and says what comes first" do
    seeds.each do |seed|
      steps = right("order", seed)
      expect(steps.uniq.length).to eq(5)
      swapped = steps.dup.tap { |each| each[1], each[2] = each[2], each[1] }
      expect(drilled("order", seed).mark(swapped)).to have_attributes(right: false, slip: /comes before/)
    end
    expect { drilled("order", 1).mark(%w[a b]) }.to raise_error(Graver::InvalidEntry)
  end

  it "rejects what isn't an answer" do
    expect { drilled("micrometer", 1).mark("thick") }.to raise_error(Graver::InvalidEntry)
    expect { drilled("leaf", 1).mark("all") }.to raise_error(Graver::InvalidEntry)
    expect { drilled("dance", 1) }.to raise_error(Graver::NotFound)
    expect { drilled("leaf", 0) }.to raise_error(Graver::InvalidEntry)
  end
end
