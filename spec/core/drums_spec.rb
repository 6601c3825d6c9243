# frozen_string_literal: true

# What is the other way round on a drum brake. Figures by hand; limits are facts of the trade: common practice, no source.
RSpec.describe "Drum brakes in the core" do
  thickness = Graver::Core::Measurement::Thickness
  judgement = Graver::Core::Judgement

  def asked(read_mm, sd_mm: 0.1, new_mm: 203.0, before: nil, alternatives: {})
    Graver::Core::Judgement::ReadingQuestions::Asked.new(
      thickness: Graver::Core::Measurement::Thickness.point(read_mm, sd_mm),
      alternatives:,
      new_mm:,
      plate_mm: nil,
      before: before && Graver::Core::Measurement::Thickness.point(before, 0.1),
      expected: nil
    )
  end

  # Twice sqrt(0.1^2 + 0.1^2) = 0.283 mm is what two caliper readings of one drum may differ by.
  it "questions a drum that measures smaller than new or than last time, and a slip of the unit" do
    questions = judgement::DrumQuestions.new(coverage: 2, near_mm: 0.6)
    code = ->(*read, **more) { questions.call(asked(*read, **more))&.code }
    expect([code[202.81], code[202.79], code[203.9]]).to eq([nil, "smaller_than_new", nil])
    expect([code[203.72, before: 204.0], code[203.71, before: 204.0]]).to eq([nil, "smaller_than_before"])
    expect([code[203.0 * 1.05], code[203.1 * 1.05]]).to eq([nil, "far_over_new"])
    found = questions.call(asked(8.02, alternatives: { "in" => 203.7 }))
    expect([found.code, found.tokens]).to eq(["other_unit", { read_mm: 8.02, unit: "in", other_mm: 203.7 }])
    expect(code[150.0, new_mm: nil]).to be_nil
  end

  # Turned round, a drum is judged like a rotor: at the maximum it is out, within its error nothing is decided.
  it "judges a diameter against its maximum as a thickness against its minimum" do
    outcome =
      lambda do |mm, rough: false|
        judgement::RotorVerdict.call(
          thickness: {
            mean_mm: -mm,
            sd_mm: 0.1,
            rough:
          },
          discard_mm: -205.0,
          life: nil,
          next_pads_km: nil,
          rules: {
            coverage: 2
          }
        ).outcome
      end
    expect([204.79, 204.81, 205.0, 205.3].map(&outcome)).to eq(%w[stay measure_again replace replace])
  end

  it "returns the widest place of a survey beside the thinnest" do
    survey = Graver::Core::Measurement::Survey.of([203.6, 203.9, 203.7].map { |mm| thickness.point(mm, 0.1) })
    expect([survey.minimum.value_mm, survey.maximum.value_mm, survey.spread_mm]).to match(
      [203.6, 203.9, be_within(1e-9).of(0.3)]
    )
  end

  it "compares leading and trailing by their own names" do
    read = ->(mm) { thickness.point(mm, 0.15) }
    pads = { "left" => { "leading" => read[2.0], "trailing" => read[3.0] } }
    found = judgement::Unevenness.call(pads, coverage: 2, names: %w[leading trailing])["left"]
    expect(found).to include("leading_thinner_mm" => be_within(1e-9).of(1.0), "trailing_thinner_mm" => nil)
  end

  # Linings last 60,000 to 150,000 km: some 3 mm of them (common practice).
  it "believes that linings outlast pads, the leading shoe the first to go, on a duo-servo brake the secondary" do
    disc, drum, servo = [nil, "drum", "drum_servo"].map { |kind| KNOWLEDGE.prior("pad", kind) }
    life_km = drum.life_mm / drum.rate_mm_per_1000km * 1000
    expect(life_km).to be_between(60_000, 150_000).and be > disc.life_mm / disc.rate_mm_per_1000km * 1000
    offset = ->(prior, position) { prior.component_log_offset.fetch("left_#{position}") }
    expect(Math.exp(offset[drum, "leading"] - offset[drum, "trailing"])).to be_between(1.2, 2.0)
    expect(offset[servo, "trailing"]).to be > offset[servo, "leading"]
    [drum, servo].each { |prior| expect(prior.seizure_weights.values.sum).to be_within(1e-9).of(1) }
  end

  # Another axle's rate counts by how far it is from what is usual of its own kind.
  it "leans on a disc axle's wear relative to a disc's usual one" do
    prior, disc = KNOWLEDGE.prior("pad", "drum"), KNOWLEDGE.prior("pad")
    pace =
      lambda do |times|
        rate = disc.usual_log_rate("front") + Math.log(times)
        Graver::Core::Wear::WearRate.new(
          axle: "front",
          log_rate: rate,
          log_sd: 0.1,
          usual: disc.usual_log_rate("front")
        )
      end
    base =
      lambda do |kin|
        bank = Graver::Core::Wear::FirstHypotheses.new(prior, ["left_leading"], 1000).call("rear", kin)
        (bank.mean[0, true] * bank.weights).sum
      end
    alone, same, faster = [[], [pace[1.0]], [pace[2.0]]].map(&base)
    expect(same).to be_within(0.03).of(alone)
    expect(faster).to be > alone + 0.05
  end

  describe Graver::Terms do
    it "puts whole words, one or several, and leaves other words and tokens" do
      terms = { "Pad" => "Shoe", "pad" => "shoe", "disc" => "drum" }
      text = "Pads at discard: {pad_mm} of a pad, two discs, a {metal_pad}, keypads"
      expect(described_class.put(text, terms)).to eq(
        "Shoes at discard: {pad_mm} of a shoe, two drums, a {metal_pad}, keypads"
      )
      expect(
        described_class.put("the pedal (lever)", { "pedal (lever)" => "lever", "the pedal" => "the lever" })
      ).to eq("the lever")
    end
  end
end
