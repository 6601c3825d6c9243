# frozen_string_literal: true

require "date"

RSpec.describe "Instruments and ways of reading" do
  core = Graver::Core::Measurement

  # JCGM 100:2008, from memory: 4.3.7 rectangle a / sqrt 3; F.2.2.1 resolution 0.29 of the step; 4.3.3 stated U over k;
  # example of 4.3.5 in the same spirit: half-widths, not figures, are the guide's there
  it "evaluates type B uncertainties as the guide does" do
    expect(core::TypeB.rectangular(0.03)).to be_within(1e-6).of(0.0173205)
    expect(core::TypeB.resolution(1.0)).to be_within(0.002).of(0.29)
    expect(core::TypeB.expanded(0.24, 3)).to be_within(1e-12).of(0.08)
    expect(core::TypeB.combined(3.0, 4.0)).to eq(5.0)
    expect(core::TypeB.between(5.0, 6.0)).to be_within(1e-6).of(0.2886751)
  end

  # NIST SP 811 B.8, from memory: 1 in = 25.4 mm exactly, 1 mil = 0.0254 mm exactly
  it "parses figures with their unit as called out" do
    in_mm =
      lambda do |text|
        figures, unit = Graver::Core::Quantity::EnteredLength.split(text, "mm")
        Graver::Core::Quantity::LENGTH.to_base(Graver::Core::Quantity::EnteredNumber.parse(figures).value, unit)
      end
    expect(in_mm["7/32 in"]).to eq(5.55625)
    expect(in_mm["0.218 in"]).to be_within(1e-12).of(5.5372)
    expect(in_mm["218 thou"]).to eq(in_mm["0.218\""])
    expect(in_mm["9 32nds"]).to eq(7.14375)
    expect(in_mm[".25 inch"]).to eq(6.35)
    expect(in_mm["22 hundredths"]).to be_within(1e-12).of(5.588)
    expect([in_mm["8,4"], in_mm["8.4 mm"], in_mm["1 7/32 in"]]).to eq([8.4, 8.4, 30.95625])
    expect(Graver::Core::Quantity::EnteredLength.split("30 %", "mm")).to eq(%w[30 percent])
  end

  # Reference: spec/reference/wear.R, R's qtukey with infinitely many degrees of freedom.
  it "knows the range that chance alone does not exceed" do
    points = JSON.parse(File.read(File.expand_path("../reference/wear.json", __dir__))).fetch("range_points")
    found = (2..12).map { |count| core::RangeByChance.factor(count) }
    expect(found).to match(points.map { |point| be_within(0.001).of(point) })
    expect([core::RangeByChance.factor(13), core::RangeByChance.factor(40)]).to all(eq(found.last))
  end

  # By hand: 23.84 23.81 23.86 23.83; least 23.81, 23.86 - 23.81 = 0.05; four readings that repeat to 0.015 mm range
  # over 3.633 x 0.015 = 0.0545 at the 5 % point of the studentized range (R 4.2, qtukey)
  it "returns the thinnest of several places and their spread" do
    places = [23.84, 23.81, 23.86, 23.83].map { |mm| core::Thickness.point(mm, 0.015) }
    expect(core::Survey.of(places)).to have_attributes(
      minimum: places[1],
      spread_mm: be_within(1e-9).of(0.05),
      chance_mm: be_within(1e-5).of(0.0545),
      told?: false
    )
    expect(core::Survey.of(places.take(1)).spread_mm).to be_nil
    expect(core::Survey.of([core::Thickness.interval(5, 6), core::Thickness.interval(6, 7)])).to have_attributes(
      places: 2,
      spread_mm: nil
    )
  end

  # The chance that n standard normal numbers range over w: n times the integral of density x (Phi(x + w) - Phi(x))^(n -
  # 1)
  it "treats as chance what 95 of 100 even parts don't exceed" do
    below = ->(x) { 0.5 * Math.erfc(-x / Math.sqrt(2)) }
    density = ->(x) { Math.exp(-x * x / 2) / Math.sqrt(2 * Math::PI) }
    core::RangeByChance::FACTORS.each do |count, width|
      points = (-800..800).map { |at| at / 100.0 }
      chance = points.sum { |x| count * density[x] * ((below[x + width] - below[x])**(count - 1)) * 0.01 }
      expect(chance).to be_within(0.0002).of(0.95), "#{count} readings"
    end
  end

  # A micrometer repeats to about 0.005 mm, whatever its zero is off: common practice, no source
  it "compares places by how well the tool repeats, not by its accuracy" do
    read =
      lambda do |method, *values|
        values.map do |value|
          given = { part: "rotor", method:, upper: nil, unit: "mm", overall: false, instrument: nil }
          place = core::Reading.new(value: Graver::Core::Quantity::EnteredNumber.parse(value), **given)
          KNOWLEDGE.normalise.call(place, core::Normalise::Part.unknown)
        end
      end
    expect(core::Survey.of(read["micrometer", "24.60", "24.56", "24.6", "24.57"]).told?).to be(true)
    expect(core::Survey.of(read["micrometer", "24.60", "24.59", "24.6", "24.59"]).told?).to be(false)
    expect(core::Survey.of(read["caliper", "24.6", "24.5", "24.6", "24.5"]).told?).to be(false)
  end

  it "replaces the usual tool's uncertainty by the instrument's" do
    number = Graver::Core::Quantity::EnteredNumber.parse("8.40")
    reading = core::Reading.new(part: "pad", method: "caliper", value: number, upper: nil, unit: "mm", overall: false)
    tool =
      core::Instrument.new(
        method: "caliper",
        least_mm: 0.0,
        most_mm: 150.0,
        resolution_mm: 0.01,
        standard_uncertainty_mm: 0.1
      )
    usual, own =
      [reading, reading.with(instrument: tool)].map do |each|
        KNOWLEDGE.normalise.call(each, core::Normalise::Part.unknown).standard_uncertainty_mm
      end
    # 0.15 with 0.03 of it the tool's: sqrt(0.15^2 - 0.03^2 + 0.1^2); the digit's 0.01 / sqrt 12 beside it
    expect(own).to be_within(1e-9).of(Math.sqrt(0.0225 - 0.0009 + 0.01 + ((0.01**2) / 12)))
    expect(own).to be > usual
    beyond = reading.with(instrument: tool.with(most_mm: 5.0))
    expect { KNOWLEDGE.normalise.call(beyond, core::Normalise::Part.unknown) }.to raise_error(
      Graver::InvalidEntry,
      /outside this tool's range \(0 to 5\u00A0mm\)/
    )
  end

  # fact of the trade (trade: a caliper zeroed on the wrong spot reads 1.5 mm low and condemns a good rotor); no source
  it "judges a zero by the tool's resolution" do
    good =
      lambda do |read_mm|
        core::ZeroCheck.new(
          date: Date.new(2026, 1, 1),
          reference_mm: 0.0,
          read_mm:,
          reference_uncertainty_mm: 0.0
        ).good?(instrument_uncertainty_mm: 0.03, resolution_mm: 0.01, coverage: 2, least_mm: 0.01)
      end
    expect([0.0, 0.06, 0.061, -1.5].map(&good)).to eq([true, true, false, false])
    # JCGM 100, 4.3.7: a step of 0.1 mm is a rectangle, 0.1 / sqrt(12) = 0.0289 mm; two of them 0.0577 mm
    stepped = { instrument_uncertainty_mm: 0.0, resolution_mm: 0.1, coverage: 2, least_mm: 0.01 }
    coarse = core::ZeroCheck.new(date: nil, reference_mm: 0.0, read_mm: 0.057, reference_uncertainty_mm: 0.0)
    expect([coarse, coarse.with(read_mm: 0.058)].map { |check| check.good?(**stepped) }).to eq([true, false])
    expect(coarse.good?(**stepped, resolution_mm: nil)).to be(false)
    expect(
      core::ZeroCheck.new(date: nil, reference_mm: 25.0, read_mm: 23.4, reference_uncertainty_mm: 0.002).offset_mm
    ).to be_within(1e-9).of(-1.6)
  end

  it "rejects a percentage of a rotor and accepts a fraction of a pad" do
    number = ->(text) { Graver::Core::Quantity::EnteredNumber.parse(text) }
    part = core::Normalise::Part.new(new_mm: 12.0, backing_mm: nil, backing_uncertainty_mm: nil)
    half =
      core::Reading.new(part: "pad", method: "percent", value: number["1/2"], upper: nil, unit: "share", overall: false)
    expect(KNOWLEDGE.normalise.call(half, part)).to have_attributes(
      value_mm: 6.0,
      standard_uncertainty_mm: be_within(1e-9).of(1.2)
    )
    expect { KNOWLEDGE.normalise.call(half.with(part: "rotor"), part) }.to raise_error(
      Graver::InvalidEntry,
      /thickness for a rotor/
    )
    expect { KNOWLEDGE.normalise.call(half.with(value: number["3/2"]), part) }.to raise_error(
      Graver::InvalidEntry,
      /150\u00A0%/
    )
    expect(KNOWLEDGE.normalise.event("metal")).to have_attributes(value_mm: 0.0)
  end

  describe core::InspectionOrder do
    all = [%w[front left], %w[front right], %w[rear left], %w[rear right]]

    def order(start, direction, present)
      described_class
        .new(start:, direction:, within: %w[outer inner rotor])
        .corners(present)
        .map { |pair| pair.join("_") }
    end

    it "starts at any corner, goes either way, or axle by axle" do
      expect(order("rear_right", "clockwise", all)).to eq(%w[rear_right rear_left front_left front_right])
      expect(order("front_left", "anticlockwise", all)).to eq(%w[front_left rear_left rear_right front_right])
      expect(order("rear_right", "across", all)).to eq(%w[rear_right rear_left front_right front_left])
      expect(order("front_right", "clockwise", [%w[front left], %w[rear left]])).to eq(%w[rear_left front_left])
    end

    it "walks round a trailer, whatever its axles, and crosses nothing" do
      three = %w[front middle rear].product(%w[left right])
      expect(order("front_left", "clockwise", three)).to eq(
        %w[front_left front_right middle_right rear_right rear_left middle_left]
      )
      expect(order("rear_right", "across", three).first(4)).to eq(%w[rear_right rear_left middle_right middle_left])
      expect(order("rear_right", "clockwise", [%w[single left], %w[single right]])).to eq(%w[single_left single_right])
    end

    it "orders positions as the owner likes, unnamed ones last" do
      walk = described_class.new(start: "front_left", direction: "clockwise", within: %w[rotor outer])
      expect(walk.positions(%w[inner outer rotor shoe])).to eq(%w[rotor outer inner shoe])
      expect { described_class.new(start: "middle", direction: "clockwise", within: []) }.to raise_error(
        Graver::InvalidEntry,
        /front_left/
      )
    end
  end
end
