# frozen_string_literal: true

RSpec.describe Graver::Core::Measurement::Normalise do
  subject(:normalise) { KNOWLEDGE.normalise }

  let(:part) { described_class::Part.new(new_mm: 11.0, backing_mm: 5.2, backing_uncertainty_mm: nil) }

  def reading(value, method: "caliper", unit: "mm", part: "pad", upper: nil, overall: false)
    number = ->(text) { text && Graver::Core::Quantity::EnteredNumber.parse(text) }
    Graver::Core::Measurement::Reading.new(part:, method:, value: number[value], upper: number[upper], unit:, overall:)
  end

  it "adds the method's error and the half step of the last digit, which is rectangular" do
    thickness = normalise.call(reading("8"), part)
    # JCGM 100:2008, 4.3.7: a rectangular distribution of half-width a has the standard uncertainty a / sqrt 3 (from
    # memory).
    expect(thickness.value_mm).to eq(8.0)
    expect(thickness.standard_uncertainty_mm).to be_within(1e-12).of(Math.sqrt((0.15**2) + ((0.5 / Math.sqrt(3))**2)))
  end

  it "returns a gauge's interval between the one that fits and the one that doesn't" do
    thickness = normalise.call(reading("5", method: "gauge", upper: "6"), part)
    expect(thickness).to have_attributes(kind: :interval, lower_mm: 5.0, upper_mm: 6.0, value_mm: 5.5)
    # JCGM 100:2008, 4.3.7: a = 0.5 mm; the leaves' own 0.2 mm added in quadrature.
    expect(thickness.standard_uncertainty_mm).to be_within(1e-12).of(Math.hypot(0.5 / Math.sqrt(3), 0.2))
  end

  it "closes an interval at the next millimetre when only one gauge is named, and reports it" do
    expect(normalise.call(reading("5", method: "gauge"), part)).to have_attributes(
      upper_mm: 6.0,
      assumed: ["gauge_step"]
    )
  end

  # common practice, no source: overall limit 7.5 mm with plate
  it "subtracts the backing plate with its error" do
    known = normalise.call(reading("13.6", overall: true), part)
    guessed = normalise.call(reading("13.6", overall: true), described_class::Part.unknown)
    expect(known.value_mm).to be_within(1e-9).of(8.4)
    expect(guessed).to have_attributes(value_mm: be_within(1e-9).of(8.6), assumed: ["backing_plate"])
    expect(guessed.standard_uncertainty_mm).to be > known.standard_uncertainty_mm + 0.2
  end

  # common practice, no source: a limit of 7.5 mm with plate against 7.6 mm read with it: the plate is in both, so its
  # error cancels
  it "compares a reading with plate with a limit with plate, like with like" do
    limited =
      lambda do |plate_mm|
        described_class::Part.new(new_mm: nil, backing_mm: plate_mm, backing_uncertainty_mm: nil, limit_overall: true)
      end
    alone = normalise.call(reading("7.6"), part).standard_uncertainty_mm
    expect(normalise.call(reading("7.6", overall: true), limited[nil])).to have_attributes(
      value_mm: be_within(1e-9).of(2.6),
      standard_uncertainty_mm: be_within(1e-12).of(alone)
    )
    # without the plate it is the other way round: then the plate's error comes in
    expect(normalise.call(reading("2.6"), limited[5.2]).standard_uncertainty_mm).to be_within(1e-12).of(
      Math.hypot(alone, 0.1)
    )
    expect(normalise.call(reading("7.6", overall: true), part).standard_uncertainty_mm).to be_within(1e-12).of(
      Math.hypot(alone, 0.1)
    )
  end

  # The part that is one's own and the part in common are the whole: JCGM 100:2008, 5.1.2 (from memory).
  it "splits a caliper's error into its own and the shared part, the plate's too" do
    plain = normalise.call(reading("8.00"), part)
    digit = 0.005 / Math.sqrt(3)
    expect(plain.shared_mm).to be_within(1e-12).of(0.15 * Math.sqrt(0.4))
    expect(plain.own.standard_uncertainty_mm).to be_within(1e-12).of(Math.hypot(0.15 * Math.sqrt(0.6), digit))
    expect(plain.own.own).to eq(plain.own)
    # one plate thickness nobody knows is the same for all four
    guessed = normalise.call(reading("13.60", overall: true), described_class::Part.unknown)
    expect(guessed.own.standard_uncertainty_mm).to be_within(1e-9).of(plain.own.standard_uncertainty_mm)
    expect(normalise.call(reading("8"), part).group).not_to eq(normalise.call(reading("8", method: "rule"), part).group)
  end

  it "returns the shared and own error of readings by one eye" do
    half = normalise.call(reading("50", method: "percent", unit: "percent"), described_class::Part.unknown)
    # 10 % of 11 mm by eye, and half of the 1.2 mm by which nobody knows how thick it was
    expect(half.standard_uncertainty_mm).to be_within(1e-9).of(Math.hypot(1.1, 0.6))
    expect(half.own.standard_uncertainty_mm).to be_within(1e-9).of(1.1 * Math.sqrt(0.7))
    expect(normalise.call(reading("50", method: "percent", unit: "percent"), part).own).to have_attributes(
      shared_mm: 0.0,
      standard_uncertainty_mm: be_within(1e-9).of(1.1 * Math.sqrt(0.7))
    )
    by_gauge = normalise.call(reading("5", method: "gauge", upper: "6"), part)
    expect([by_gauge.own.edge_mm, by_gauge.own.lower_mm]).to match([be_within(1e-9).of(0.2 * Math.sqrt(0.6)), 5.0])
  end

  it "converts inch, thousandths and 32nds" do
    values =
      [%w[7/32 in], %w[7 32nd], %w[218.75 thou]].map do |value, unit|
        normalise.call(reading(value, method: "rule", unit:), part).value_mm
      end
    expect(values).to all(be_within(1e-9).of(5.55625))
  end

  it "reads percent against the new thickness" do
    expect(normalise.call(reading("30", method: "percent", unit: "percent"), part)).to have_attributes(
      value_mm: be_within(1e-9).of(3.3),
      standard_uncertainty_mm: be_within(1e-9).of(1.1)
    )
  end

  # common practice, no source: a leaf that goes in past the limit of the next is a slip
  it "rejects impossible values by field" do
    {
      ["400", { method: "caliper" }] => "value",
      ["8", { unit: "furlong" }] => "unit",
      ["6", { method: "gauge", upper: "5" }] => "upper",
      ["50", { method: "percent", unit: "mm" }] => "unit",
      ["50", { method: "percent", unit: "percent", part: "rotor" }] => "method",
      ["-4", {}] => "value",
      ["120", { method: "percent", unit: "percent" }] => "value"
    }.each do |(value, options), field|
      expect { normalise.call(reading(value, **options), part) }.to raise_error(Graver::InvalidEntry) { |error|
        expect(error.faults.map(&:field)).to eq([field])
      }
    end
  end

  it "returns a rotor's thinnest place and variation" do
    places =
      %w[23.84 23.81 23.83].map { |value| normalise.call(reading(value, method: "micrometer", part: "rotor"), part) }
    expect(Graver::Core::Measurement::Survey.of(places)).to have_attributes(
      places: 3,
      minimum: places[1],
      spread_mm: be_within(1e-9).of(0.03)
    )
  end
end
