# frozen_string_literal: true

RSpec.describe Graver::Core::Schedule::Driving do
  let(:prior) { KNOWLEDGE.driving_prior }

  def points(*pairs) = pairs.map { |day, km| [Date.new(2025, 1, 1) + day, km.to_f] }

  it "follows the prior with a short log and the log with a long one" do
    expect(described_class.from([], prior).km_per_day).to eq(33.0)
    expect(described_class.from(points([0, 1000], [600, 61_000]), prior).km_per_day).to be_within(7).of(100)
    expect(described_class.from(points([0, 1000], [600, 61_000]), prior).log_sd).to be <
      described_class.from(points([0, 1000], [10, 2000]), prior).log_sd
  end

  it "forgets old driving" do
    driving = described_class.from(points([0, 0], [1000, 100_000], [1200, 102_000], [2000, 110_000]), prior)
    expect(driving.km_per_day).to be_within(3).of(12)
  end

  it "learns seasons from a year of readings, not from less" do
    # 20 km a day from October to March, 60 from April to September
    month_km = ->(date) { (4..9).cover?(date.month) ? 60 * 30 : 20 * 30 }
    day = Date.new(2023, 1, 1)
    log =
      (0..27).reduce([[day, 0.0]]) do |list, _|
        [*list, [list.last[0] >> 1, list.last[1] + month_km.call(list.last[0])]]
      end
    driving = described_class.from(log, prior)
    expect(driving.season.sum / 12).to be_within(1e-9).of(1)
    expect(driving.season[6] / driving.season[0]).to be_between(1.8, 3.0)
    expect(described_class.from(log.first(6), prior).season).to be_nil
  end
end
