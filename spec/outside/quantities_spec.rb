# frozen_string_literal: true

require_relative "stranger"

RSpec.describe "Quantities, checked by strangers" do
  core = Graver::Core

  # GNU units 2.22: every factor of every table, as it knows them.
  describe "GNU units" do
    names = {
      "32nd" => "1|32 inch",
      "100th" => "1|100 inch",
      "thou" => "mil",
      "in" => "inch",
      "fl oz" => "usfloz",
      "mi" => "mile",
      "N·m" => "newton meter",
      "lbf·ft" => "lbf foot",
      "lbf·in" => "lbf inch",
      "°" => "degree"
    }
    {
      LENGTH: core::Quantity::LENGTH,
      VOLUME: core::Quantity::VOLUME,
      DISTANCE: core::Quantity::DISTANCE,
      TORQUE: core::Quantity::TORQUE,
      ANGLE: core::Quantity::ANGLE
    }.each do |name, table|
      it "converts each unit of #{name} as Graver does, both ways" do
        base = names.fetch(table.base, table.base)
        table.units.each do |unit|
          factor = Stranger.run("units", "--terse", "-o", "%.15g", "1 #{names.fetch(unit, unit)}", base).to_f
          expect(table.to_base(1, unit)).to be_within(1e-12 * factor).of(factor), unit
          expect(table.from_base(factor, unit)).to be_within(1e-12).of(1), unit
        end
      end
    end
  end

  # python3-uncertainties 3.1: linear propagation of its own.
  describe "the uncertainties package" do
    normalise = KNOWLEDGE.normalise
    number = ->(text) { core::Quantity::EnteredNumber.parse(text) }
    reading =
      lambda do |method, value, unit: "mm", overall: false|
        core::Measurement::Reading.new(
          part: "pad",
          method:,
          value: number[value],
          upper: nil,
          unit:,
          overall:,
          instrument: nil
        )
      end
    part =
      lambda do |**known|
        core::Measurement::Normalise::Part.new(
          new_mm: nil,
          backing_mm: nil,
          backing_uncertainty_mm: nil,
          limit_overall: false,
          kind: "car",
          **known
        )
      end

    it "gives a pad read with its plate the same thickness and error" do
      taken =
        normalise.call(reading["caliper", "14.20", overall: true], part[backing_mm: 5.0, backing_uncertainty_mm: 0.1])
      method = KNOWLEDGE.measurement.dig("methods", "caliper", "pad")
      found = Stranger.python(<<~PY, { method:, step: 0.01 })
        from uncertainties import ufloat
        shown = ufloat(14.20, given["method"]) + ufloat(0, given["step"] / 2 / 3 ** 0.5)
        friction = shown - ufloat(5.0, 0.1)
        print(json.dumps([friction.nominal_value, friction.std_dev]))
      PY
      expect([taken.value_mm, taken.standard_uncertainty_mm]).to match(found.map { |each| be_within(1e-9).of(each) })
    end

    it "gives a share of a new pad of unknown thickness the same error" do
      taken = normalise.call(reading["percent", "30", unit: "percent"], part[])
      typical = KNOWLEDGE.new_part("pad", "car")
      given = {
        mm: typical["typical_mm"],
        mm_u: typical["typical_standard_uncertainty_mm"],
        eye: KNOWLEDGE.measurement.dig("percent", "standard_uncertainty_percent") || 10
      }
      found = Stranger.python(<<~PY, given)
        from uncertainties import ufloat
        left = ufloat(0.30, 0) * ufloat(given["mm"], given["mm_u"]) + ufloat(0, given["eye"] / 100) * given["mm"]
        print(json.dumps([left.nominal_value, left.std_dev]))
      PY
      expect([taken.value_mm, taken.standard_uncertainty_mm]).to match(found.map { |each| be_within(1e-9).of(each) })
    end
  end

  # Python 3's statistics.NormalDist: another implementation of the same distribution.
  it "agrees with Python on chances and quantiles of the normal distribution" do
    given = { z: [-6, -3.2, -1, -0.1, 0, 0.5, 2, 4], p: [1e-6, 0.01, 0.05, 0.1, 0.5, 0.9, 0.95, 0.999] }
    found = Stranger.python(<<~PY, given)
      from statistics import NormalDist
      print(json.dumps([[NormalDist().cdf(z) for z in given["z"]], [NormalDist().inv_cdf(p) for p in given["p"]]]))
    PY
    normal = core::Wear::Normal
    expect(given[:z].map { |z| normal.cumulative(z) }).to match(found[0].map { |each| be_within(1e-12).of(each) })
    expect(given[:p].map { |p| normal.quantile(p) }).to match(found[1].map { |each| be_within(1e-6).of(each) })
  end
end
