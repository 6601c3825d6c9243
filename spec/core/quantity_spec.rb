# frozen_string_literal: true

RSpec.describe Graver::Core::Quantity do
  # Factors: NIST Special Publication 811 (2008), appendix B.8, from memory. Digits in brackets there are the
  # uncertainty of rounding, so agreement is asked to the seven figures printed.
  it "converts lengths and distances exactly" do
    expect(described_class::LENGTH.to_base(1, "in")).to eq(25.4)
    expect(described_class::LENGTH.to_base(1000, "thou")).to eq(25.4)
    expect(described_class::LENGTH.to_base(32, "32nd")).to eq(25.4)
    expect(described_class::DISTANCE.to_base(1, "mi")).to eq(1.609344)
  end

  it "converts torque as SP 811 gives it" do
    expect(described_class::TORQUE.to_base(1, "lbf·ft")).to be_within(5e-7).of(1.355818)
    expect(described_class::TORQUE.to_base(1, "lbf·in")).to be_within(5e-8).of(0.1129848)
  end

  def convert(value, from, to) = described_class::TORQUE.from_base(described_class::TORQUE.to_base(value, from), to)

  # common practice, no source: 140 N·m is about 103 lbf·ft; a foot has twelve inches
  it "agrees with conversions mechanics know by heart" do
    expect(convert(140, "N·m", "lbf·ft")).to be_within(0.5).of(103)
    expect(convert(25, "lbf·ft", "lbf·in")).to be_within(1e-9).of(300)
    expect(described_class::LENGTH.to_base(Rational(7, 32), "in")).to be_within(0.001).of(5.556)
  end

  describe Graver::Core::Quantity::EnteredNumber do
    it "parses numbers as people write them, with their resolution" do
      {
        "8.40" => %w[8.4 1/100],
        "8,4" => %w[8.4 1/10],
        " 12 " => %w[12 1],
        "7/32" => %w[7/32 1/32],
        "1 7/32" => %w[39/32 1/32]
      }.each do |text, (value, step)|
        expect(described_class.parse(text)).to have_attributes(value: Rational(value), step: Rational(step))
      end
    end

    it "rejects what isn't a number and says what to enter" do
      ["", "abc", "1e9", "NaN", "8.4.1", "1/0", "🛞", "9" * 5000, nil].each do |text|
        expect { described_class.parse(text) }.to raise_error(Graver::InvalidEntry, /\AEnter a number/)
      end
      expect { described_class.parse("about #{"8" * 30}") }.to raise_error(/“about #{"8" * 18}…”/)
    end
  end

  # common practice, no source: torques are given as ranges, in any of these ways
  describe Graver::Core::Quantity::EnteredRange do
    def range(text) = described_class.parse(text).then { |found| [found.low.value, found.high&.value, found.middle] }

    it "parses one figure, or a range with its middle" do
      expect(range("120")).to eq([120, nil, 120])
      ["125-150", "125 - 150", "125 – 150", "125to150", " 125 to 150 "].each do |text|
        expect(range(text)).to eq([125, 150, Rational(275, 2)]), text
      end
      expect(range("8,5-9.5")).to eq([Rational(17, 2), Rational(19, 2), 9])
      expect(range("1/2-3/4").last).to eq(Rational(5, 8))
      # a figure below zero is a figure, which what it is about refuses
      expect(range("-4")).to eq([-4, nil, -4])
    end

    it "rejects anything else, and a range that runs backwards" do
      {
        "150-125" => /smaller figure first/,
        "125-125" => /smaller figure first/,
        "125-" => /\AEnter a number/,
        "1-2-3" => /\AEnter a number/,
        "to" => /\AEnter a number/,
        "" => /\AEnter a number/,
        "a to b" => /\AEnter a number/,
        "9" * 400 => /\AEnter a number/,
        "\xff-3" => /\AEnter a number/
      }.each do |text, message|
        expect { described_class.parse(text) }.to raise_error(Graver::InvalidEntry, message), text[0, 20]
      end
    end
  end
end
