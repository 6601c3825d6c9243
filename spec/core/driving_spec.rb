# frozen_string_literal: true

RSpec.describe Graver::Core::Schedule::Driving do
  let(:prior) { KNOWLEDGE.driving_priors[nil] }

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

  # common practice, no source: a car that stood for two years is driven as it was before, not 1 km a day
  it "takes a lay-up for a lay-up" do
    stood = points([0, 0], [200, 8000], [400, 16_000], [1100, 16_100], [1200, 20_100])
    expect(described_class.from(stood, prior).km_per_day).to be_within(3).of(38.5)
  end

  # By hand: half the weight after two years. 730 days at 20 km a day, then 730 at 60: (20 / 2 + 60) / 1.5 = 46.7.
  it "lets older driving count less, and none from before four years" do
    even = points(*(0..8).map { |half| [half * 182.5, ([half, 4].min * 3650.0) + ([half - 4, 0].max * 10_950.0)] })
    expect(described_class.from(even, prior).km_per_day).to be_within(2).of(45)
    older = points([0, 0], [1000, 200_000], [1100, 201_000], [2560, 215_600])
    expect(described_class.from(older, prior).km_per_day).to be_within(1.5).of(11)
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

  # By hand: 100 km a day in July of a year of 10, and a day of weight in every month.
  it "counts days and kilometres in the months they fall in" do
    day = ->(month) { Date.new(2025, month, 1) }
    log = [[day[1], 0.0], [day[7], 1810.0], [day[8], 4910.0], [Date.new(2026, 1, 1), 6440.0]]
    rates = [*[10.0] * 6, (3100 + 10) / 32.0, *[10.0] * 5]
    found = Graver::Core::Schedule::Season.factors(log, 10, 1)
    expect(found).to match_array(rates.map { |rate| be_within(1e-9).of(rate / (rates.sum / 12)) })
    expect(found.each_with_index.max.last).to eq(6)
    # a stretch from mid-March to mid-April is half in each
    spring = [[Date.new(2025, 3, 17), 0.0], [Date.new(2025, 4, 16), 3000.0]]
    by_month = Graver::Core::Schedule::Season.factors(spring, 10, 1)
    expect(by_month.each_with_index.select { |factor, _| factor > by_month[0] }.map(&:last)).to eq([2, 3])
  end
end
