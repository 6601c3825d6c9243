# frozen_string_literal: true

RSpec.describe "Questions about readings" do
  thickness = Graver::Core::Measurement::Thickness

  describe Graver::Core::Judgement::ReadingQuestions do
    define_method(:asked) do |mm, sd = 0.15, new_mm: 11.0, plate_mm: 5.0, before: nil, expected: nil, alternatives: {}|
      described_class.new(**KNOWLEDGE.question_thresholds).call(
        described_class::Asked.new(
          thickness: thickness.point(mm, sd),
          alternatives:,
          new_mm:,
          plate_mm:,
          before:,
          expected:
        )
      )
    end

    def code(...) = asked(...)&.code

    it "questions only what can hardly be true" do
      before = Graver::Core::Measurement::Thickness.point(7.0, 0.15)
      expect(code(11.2)).to be_nil
      expect(code(13.0)).to eq("with_plate")
      expect(code(17.5)).to eq("thicker_than_new")
      expect(code(25.4, 0.02, new_mm: 25.0, plate_mm: nil)).to eq("thicker_than_new")
      expect([7.5, 8.0].map { |mm| code(mm, before:) }).to eq([nil, "thicker_than_before"])
      expect([3.0, 5.5, 7.9].map { |mm| code(mm, expected: { mean_mm: 6.0, sd_mm: 0.4 }) }).to eq(
        ["far_below", nil, "far_above"]
      )
    end

    it "detects an included plate" do
      expect(asked(9.6, expected: { mean_mm: 4.5, sd_mm: 0.3 })).to have_attributes(
        code: "with_plate",
        tokens: include(without_plate_mm: be_within(1e-9).of(4.6))
      )
      expect(code(7.6, expected: { mean_mm: 4.5, sd_mm: 0.2 }, plate_mm: 5.5)).to eq("far_above")
    end

    # NIST SP 811 B.8 (from memory): the inch is 25.4 mm; 0.25 in is 6.35 mm, 8/32 in as well
    it "detects another unit" do
      expected = { mean_mm: 6.3, sd_mm: 0.3 }
      expect(asked(0.25, expected:, alternatives: { "in" => 6.35, "thou" => 0.00635 })).to have_attributes(
        code: "other_unit",
        tokens: include(unit: "in", other_mm: 6.35)
      )
      expect(
        asked(8.0, 0.15, expected: { mean_mm: 6.4, sd_mm: 0.2 }, alternatives: { "32nd" => 6.35 })
      ).to have_attributes(code: "other_unit")
      # without any log: a quarter of a millimetre may be true, a quarter of an inch is likelier
      expect(code(0.25, alternatives: { "in" => 6.35 })).to eq("other_unit")
      expect(code(1.6, alternatives: { "in" => 40.6 })).to be_nil
      # tiny is under a millimetre, and under an eighth of a new pad
      expect([1.05, 0.95].map { |mm| code(mm, alternatives: { "cm" => 9.5 }) }).to eq([nil, "other_unit"])
      expect([0.8, 0.7].map { |mm| code(mm, new_mm: 6.0, alternatives: { "cm" => 5.0 }) }).to eq([nil, "other_unit"])
      # a pad that was expected to be nearly gone, and is, is not asked about
      expect(code(0.6, expected: { mean_mm: 0.7, sd_mm: 0.3 }, alternatives: { "in" => 0.9 })).to be_nil
    end
  end

  describe Graver::Core::Judgement::SwappedReadings do
    define_method(:read) do |id, position, mm, expected_mm|
      described_class::Read.new(
        id:,
        position:,
        thickness: thickness.point(mm, 0.15),
        expected: {
          mean_mm: expected_mm,
          sd_mm: 0.2
        }
      )
    end

    it "detects swapped readings and leaves similar ones alone" do
      swapped = [
        read(:a, %w[left inner], 6.6, 3.6),
        read(:b, %w[left outer], 3.5, 6.5),
        read(:c, %w[right inner], 5.4, 5.4)
      ]
      expect(described_class.call(swapped, gain: 16)).to eq([%i[a b]])
      # squared misfits: variance 0.15^2 + 0.2^2 = 0.0625; straight 2 x (1 / 0.25)^2 = 32, crossed 0
      one_apart = [read(:a, %w[left inner], 6.0, 5.0), read(:b, %w[left outer], 5.0, 6.0)]
      expect([31.9, 32.1].map { |gain| described_class.call(one_apart, gain:) }).to eq([[%i[a b]], []])
      # three that could be exchanged: each reading is in one pair only, the one that gains most
      three = [*one_apart, read(:c, %w[right inner], 5.6, 5.0)]
      expect(described_class.call(three, gain: 4)).to eq([%i[a b]])
      alike = [read(:a, %w[left inner], 5.2, 5.5), read(:b, %w[left outer], 5.5, 5.2)]
      expect(described_class.call(alike, gain: 16)).to be_empty
      # both wrong either way: a plate and an inch are no swap
      expect(
        described_class.call([read(:a, %w[right inner], 10.9, 5.4), read(:b, %w[right outer], 0.23, 5.8)], gain: 16)
      ).to be_empty
      # rotors differ by side alone
      rotors = [read(:a, %w[left], 23.0, 25.0), read(:b, %w[right], 25.0, 23.0)]
      expect(described_class.call(rotors, gain: 16)).to eq([%i[a b]])
      # inner left and outer right are not taken one for the other
      expect(
        described_class.call([read(:a, %w[left inner], 6.6, 3.6), read(:b, %w[right outer], 3.5, 6.5)], gain: 16)
      ).to be_empty
    end
  end

  describe Graver::Core::Judgement::OdometerQuestion do
    def ask(km, alternatives = {})
      described_class.call(
        km:,
        before_km: 100_000,
        days: 100,
        usual_km_per_day: 40,
        alternatives:,
        **KNOWLEDGE.question_thresholds
      )
    end

    # 100 days at 40 km are 4,000 km; four times that is the threshold, 16,000 km
    it "questions an odometer beyond the usual driving and detects miles for kilometres" do
      expect([ask(116_000), ask(116_001)&.code]).to eq([nil, "too_far_ahead"])
      expect(ask(167_372, { "km" => 104_000 })).to have_attributes(
        code: "other_distance_unit",
        other_unit: "km",
        driven_km: 67_372,
        usual_km: 4000
      )
    end
  end
end
