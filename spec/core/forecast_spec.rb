# frozen_string_literal: true

require "json"
require "open3"
require "prop_check"

RSpec.describe Graver::Core::Wear::Forecast do
  include WearBuilders

  let(:reference) { JSON.parse(File.read(File.expand_path("../reference/wear.json", __dir__))) }
  # The model the R script integrates: no drift, no wrong readings, no pads that go their own way.
  let(:plain) do
    WearBuilders.without_surprises(KNOWLEDGE.prior("pad")).with(
      deviation_log_sd: 1e-3,
      component_log_offset: {
      },
      increment_mm: 0.03
    )
  end

  def by_r(script)
    again, problem, = Open3.capture3("Rscript", "--vanilla", File.expand_path("../reference/#{script}", __dir__))
    expect(problem).to eq("")
    JSON.parse(again)
  end

  # What is stored is what R says today: the answers of its integration, and its data set of cracks.
  it "uses answers that R reproduces" do
    expect(by_r("paths.R")).to eq(JSON.parse(File.read(File.expand_path("../reference/paths.json", __dir__))))
    by_r("wear.R").each do |name, values|
      expect(values).to match(reference.fetch(name).map { |one| be_within(one.abs * 1e-4).of(one) })
    end
  end

  def plain_quantiles(set, as_of_km)
    described_class.call(history(set, as_of_km:), plain).first.quantiles.values
  end

  # Reference: spec/reference/wear.R, an independent integration of the same model in R.
  it "returns the quantiles of the exact integration, for one and three readings" do
    one = { "a" => fitted(read(20_000, 8.5), sd_mm: 1e-6) }
    three = { "a" => fitted(read(10_000, 9.8), read(22_000, 8.1), read(35_000, 6.2), sd_mm: 1e-6) }
    { one => ["one_reading", 20_000], three => ["three_readings", 35_000] }.each do |set, (name, as_of_km)|
      plain_quantiles(set, as_of_km)
        .zip(reference.fetch(name))
        .each { |ours, exact| expect(ours).to be_within(exact * 0.05).of(exact) }
    end
  end

  # Reference: the first passage of a gamma process, from R's pgamma.
  it "agrees with the first passage of a gamma process when the rate is known" do
    known = plain.with(rate_mm_per_1000km: 0.14, rate_log_sd: 0.01)
    life = described_class.call(history({ "a" => fitted(sd_mm: 1e-6) }, as_of_km: 0), known).first
    [0.05, 0.5, 0.95].zip(reference.fetch("gamma_passage"))
      .each { |p, exact| expect(life.quantile(p) / 1000).to be_within(exact * 0.04).of(exact) }
  end

  # Worked example: degradation of five units, NIST/SEMATECH e-Handbook chapter 8 (readings from memory), refitted in R.
  # One hour stands for ten km, one percent for a third of a millimetre; the prior is opened wide.
  it "extrapolates the handbook's degradation readings to about the handbook's times" do
    units = [[0.87, 1.48, 2.81], [0.33, 0.96, 2.13], [0.94, 2.91, 5.67], [0.72, 1.98, 4.28], [0.66, 0.99, 2.14]]
    open_wide = plain.with(rate_log_sd: 1.5, increment_mm: 1e-4)
    units
      .zip(reference.fetch("handbook_hours_to_failure"))
      .each do |losses, hours|
        readings = [200, 500, 1000].zip(losses).map { |at, loss| read(at * 10.0, (30 - loss) / 3.0, 0.08) }
        result =
          described_class.call(
            history({ "a" => fitted(*readings, new_mm: 10.0, sd_mm: 1e-6) }, as_of_km: 10_000.0, limit_mm: 0.0),
            open_wide
          )
        expect((result.first.quantile(0.5) / 10) + 1000).to be_within(hours * 0.12).of(hours)
      end
  end

  it "is between the prior and new-to-now with one reading, and narrower with two" do
    one = forecast({ "left_inner" => fitted(read(10_000, 8.0)) }, as_of_km: 10_000).first
    two = forecast({ "left_inner" => fitted(read(10_000, 8.0), read(16_000, 6.2)) }, as_of_km: 16_000).first
    # new to now: 3 mm in 10,000 km leaves 16,667 km; the prior alone would say some 35,000 km for 5 mm
    expect(one.quantile(0.5)).to be_between(16_000, 35_000)
    expect(two.quantile(0.9) / two.quantile(0.1)).to be < one.quantile(0.9) / one.quantile(0.1)
  end

  # fact of the trade: the inner pad decides; common practice, no source
  it "follows the worst pad and counts an unread one" do
    even =
      %w[left_inner left_outer right_inner right_outer].to_h do |pad|
        [pad, fitted(read(30_000, 6.8), read(40_000, 5.4))]
      end
    seized = even.merge("left_inner" => fitted(read(30_000, 5.6), read(40_000, 3.6)))
    result = forecast(seized, as_of_km: 40_000)
    expect(result.first.quantile(0.5)).to be < forecast(even, as_of_km: 40_000).first.quantile(0.5) / 2
    expect(result.components.min_by { |_, life| life.quantile(0.5) }.first).to eq("left_inner")
    expect(forecast({ "left_inner" => fitted, "left_outer" => fitted(read(9000, 9.5)) }, as_of_km: 9000).unread).to eq(
      ["left_inner"]
    )
  end

  it "resists one wrong reading and names it" do
    right = [read(10_000, 9.5), read(20_000, 8.0), read(30_000, 6.5)]
    wrong = [right[0], read(20_000, 12.9, ref: :plate_included), right[2]]
    clean, dirty = [right, wrong].map { |readings| forecast({ "left_inner" => fitted(*readings) }, as_of_km: 30_000) }
    expect(dirty.first.quantile(0.5)).to be_within(clean.first.quantile(0.5) * 0.15).of(clean.first.quantile(0.5))
    expect(dirty.doubted.map { |doubt| doubt[:ref] }).to eq([:plate_included])
    expect(clean.doubted).to be_empty
  end

  it "learns less from an interval than from a point, and uses earlier sets" do
    wide = forecast({ "left_inner" => fitted(between(20_000, 7, 8)) }, as_of_km: 20_000).first
    narrow = forecast({ "left_inner" => fitted(read(20_000, 7.5, 0.1)) }, as_of_km: 20_000).first
    expect(wide.quantile(0.9) - wide.quantile(0.1)).to be > narrow.quantile(0.9) - narrow.quantile(0.1)

    fast = { "left_inner" => fitted(read(10_000, 7.0), read(18_000, 4.2)) }
    fresh = { "left_inner" => fitted(at: 20_000.0) }
    expect(forecast(fresh, as_of_km: 20_000, earlier: [fast]).first.quantile(0.5)).to be <
      0.6 * forecast(fresh, as_of_km: 20_000).first.quantile(0.5)
  end

  it "returns zero past the limit and nothing without a set" do
    past = forecast({ "left_inner" => fitted(read(40_000, 2.0)) }, as_of_km: 40_000)
    expect(past.first.quantiles.values_at(0.05, 0.5, 0.9)).to all(eq(0.0))
    expect(past.first.chance_now).to be > 0.95
    expect(described_class.call(history({}, as_of_km: 0), KNOWLEDGE.prior("pad"))).to be_nil
  end

  it "accepts equal odometers, a thicker reading and only doubtful ones" do
    same =
      forecast(
        { "left_inner" => fitted(read(5000, 9.0), read(5000, 9.2), read(5000, 9.4, trust: 0.5)) },
        as_of_km: 5000
      )
    expect(same.first.quantile(0.5)).to be > 0
    growing =
      forecast({ "left_inner" => fitted(read(5000, 9.0, trust: 0.5), read(9000, 9.8, trust: 0.5)) }, as_of_km: 9000)
    expect(growing.first.quantiles.values).to all(be >= 0)
  end

  it "always returns rising, finite quantiles, the same for the same log" do
    PropCheck
      .forall(
        PropCheck::Generators.array(
          PropCheck::Generators.tuple(PropCheck::Generators.choose(1..20_000), PropCheck::Generators.choose(0..120)),
          max: 6
        )
      )
      .with_config(n_runs: 30)
      .check do |steps|
        at = 0.0
        readings = steps.map { |distance, tenths| read(at += distance, tenths / 10.0) }
        lives =
          Array.new(2) do
            forecast({ "left_inner" => fitted(*readings), "left_outer" => fitted }, as_of_km: at).first.quantiles.values
          end
        expect(lives[0]).to eq(lives[1])
        expect(lives[0]).to eq(lives[0].sort)
        expect(lives[0]).to all(be_finite.and(be >= 0))
      end
  end
end
