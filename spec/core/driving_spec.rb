# frozen_string_literal: true

RSpec.describe Graver::Core::Schedule::Driving do
  let(:prior) { KNOWLEDGE.driving_prior }

  def points(*pairs) = pairs.map { |day, km| [Date.new(2025, 1, 1) + day, km.to_f] }

  it "leans on the prior when the log is short and on the log when it is long" do
    expect(described_class.from([], prior).km_per_day).to eq(33.0)
    expect(described_class.from(points([0, 1000], [600, 61_000]), prior).km_per_day).to be_within(7).of(100)
    expect(described_class.from(points([0, 1000], [600, 61_000]), prior).log_sd).to be < described_class.from(points([0, 1000], [10, 2000]), prior).log_sd
  end

  it "forgets an old commute" do
    driving = described_class.from(points([0, 0], [1000, 100_000], [1200, 102_000], [2000, 110_000]), prior)
    expect(driving.km_per_day).to be_within(3).of(12)
  end

  it "widens days with the spread of the driving" do
    life = Graver::Core::Wear::Life.new([0.0, 10_000.0, 10_001.0, 20_000.0], [1.0, 1.0, 0.0, 0.0])
    days = described_class.new(km_per_day: 50.0, log_sd: 0.2, days_observed: 100).days_until(life)
    expect(days[0.5]).to be_within(6).of(200)
    # a lognormal rate: 10 and 90 percent points of 10,000 km / rate lie at exp(-+1.2816 x 0.2); nine points approximate it
    expect(days[0.1]).to be_within(14).of(200 * Math.exp(-1.2816 * 0.2))
    expect(days[0.9]).to be_within(18).of(200 * Math.exp(1.2816 * 0.2))
  end
end
