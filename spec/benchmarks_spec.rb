# frozen_string_literal: true

require "stringio"

# What a rename breaks in a benchmark shows only when somebody runs it: a small run of each that scores the forecast.
%w[forecast_score owners stability prior_costs real_paths oracle_bound log_speed].each do |name|
  require_relative "../benchmarks/#{name}"
end

RSpec.describe Benchmarks do
  let(:out) { StringIO.new }
  let(:worlds) { described_class::World::ALL.first(1) }
  let(:regimes) { [described_class::Regime.named(:ordinary)] }

  it "scores the forecast beside its yardsticks" do
    described_class::ForecastScore.new(cases: 2, worlds:, regimes:).print_to(out)
    expect(out.string.lines.last).to match(/\Aall +all +2 +\d+%/)
  end

  it "drives owners through their years by a rule" do
    owners = described_class::Owners.new(owners: 1, worlds:)
    rules = described_class::OwnerRules.all
    yearly, graver =
      rules.values_at("once a year", "Graver, inspection worth 700 km").map { |rule| owners.counts(rule) }
    expect(yearly.inspections).to be_between(5, 8)
    expect([graver.km, graver.inspections]).to all(be_positive)
  end

  it "moves readings a little, changes priors, and forecasts the paths of others" do
    described_class::Stability.new(logs: 1, worlds:, regimes:).print_to(out)
    described_class::RealPaths.new.print_to(out)
    expect(out.string).to match(/readings of 1 logs.*\n21 crack paths/)
    stub_const("Benchmarks::PriorCosts::FIGURES", { "rate" => %w[rate_mm_per_1000km] })
    described_class::PriorCosts.new(logs: 1, worlds:, regimes:).print_to(out)
    expect(out.string.lines.last).to match(/\Arate +2\.0 +\d/)
  end

  it "tells a world without its regime" do
    stub_const("Benchmarks::Untold::REGIMES", regimes)
    described_class::Untold.new(cases: 1, worlds:).print_to(out)
    expect(out.string.lines.length).to eq(2 + (3 * described_class::Untold::CHANCES.length))
  end
end
