# frozen_string_literal: true

require "numo/narray"

RSpec.describe Graver::Core::Schedule::NextLook do
  # Futures of one pad: what is left at so many mm per km; lives in km.
  futures = Struct.new(:lives_km, :log_rates, :thickness_mm, :limit_mm) { def first_km = lives_km.min(axis: 0) }
  let(:rate) { 0.14e-3 }
  let(:costs) do
    described_class::Costs.new(inspection_km: 700, saved_mm: 0.25, grave: [[1.5, 5], [0.5, 40]], reading_mm: 0.12)
  end

  define_method(:of) do |lives, limit_mm: 3.0|
    km = Numo::DFloat[lives]
    futures.new(km, (km * 0.0) + Math.log(rate), (km * rate) + limit_mm, limit_mm)
  end
  def decide(futures, **differs) = described_class.call(futures, costs.with(**differs))
  def normal(mean, sd) = Array.new(400) { |at| mean + (sd * Graver::Core::Wear::Normal.quantile((at + 0.5) / 400)) }

  # By hand: where the end is certain, nothing is risked before it and every km until then shares the trouble.
  it "goes to the end where the end is known" do
    expect(decide(of([20_000.0] * 50)).next_km).to be_within(1500).of(20_000)
  end

  # The newsvendor's rule (from memory): early or late cost alike in the middle; where being late costs ten times as
  # much as being early, the right place is the quantile 1 / 11.
  it "does a job without another look where the balance of early and late is best" do
    lives = normal(2000.0, 300.0)
    saved_mm = 10 * 700 * rate
    found = decide(of(lives), saved_mm:, grave: [])
    expect(found.look_first).to be(false)
    expect(found.job_km).to be_within(100).of(lives[(lives.length / 11.0).round])
  end

  it "looks first where a look can save more than it costs" do
    wide = normal(40_000.0, 9000.0)
    expect(decide(of(wide)).look_first).to be(true)
    expect(decide(of(normal(1500.0, 100.0))).look_first).to be(false)
  end

  it "looks the later the more trouble it is, and the sooner the graver the end" do
    lives = of(normal(40_000.0, 9000.0))
    looks = [200, 700, 2000].map { |inspection_km| decide(lives, inspection_km:).look_km }
    expect(looks).to eq(looks.sort)
    expect(looks.uniq.length).to eq(3)
    expect(decide(lives, grave: [[2.9, 100]]).look_km).to be < decide(lives, grave: []).look_km
  end

  it "waits for no more than a small chance, and not at all where the limit is likely passed" do
    lives = normal(40_000.0, 9000.0)
    latest = decide(of(lives), inspection_km: 1e6)
    expect(latest.look_km).to be <= lives[(lives.length * described_class::MOST_CHANCE).ceil]
    gone = decide(of(([0.0] * 100) + ([5000.0] * 300)))
    expect([gone.next_km, gone.look_km, gone.job_km]).to eq([0.0, 0.0, 0.0])
  end
end
