# frozen_string_literal: true

# What the forecast makes of logs that leave something out or get it wrong.
RSpec.describe Graver::Core::Wear::AxleFilter do
  include WearBuilders

  let(:prior) { KNOWLEDGE.prior("pad") }
  let(:calm) { WearBuilders.without_surprises(prior) }

  # common practice, no source: sets are renewed when they are due. 11 mm worn to 0.7 above 3 mm in 60,000 km are
  # 0.122 mm in 1,000 km; a set that only lasted 20,000 km wore three times as fast.
  it "learns the rate from how long an unread set lasted" do
    rates =
      [60_000.0, 20_000.0].map do |lasted_km|
        earlier = [{ "left_inner" => fitted }]
        set = { "left_inner" => fitted(at: lasted_km) }
        rate(follow(set, as_of_km: lasted_km, with: calm.with(replaced: prior.replaced), earlier:), "left_inner").first
      end
    expect(rates.first).to be_within(0.015).of(0.122)
    expect(rates.last).to be_between(1.8 * rates.first, 0.4)
  end

  # Bayes' rule by hand: eight readings on a line that begins at 9.9 and not at the 11 mm on file.
  it "blames the file where all readings agree with each other and not with it" do
    line = (1..4).map { |at| read(at * 8000.0, 9.9 - (at * 8000 * 0.1e-3), 0.1) }
    set = { "left_inner" => fitted(*line), "left_outer" => fitted(*line) }
    found = Graver::Core::Wear::Forecast.call(history(set, as_of_km: 32_000), prior)
    expect(found.doubted).to eq([])
    expect(found.rates["left_inner"][1]).to be_within(0.02).of(0.1)
  end

  # Crack growth of 21 specimens (R's nlme::Fatigue, spec/reference/paths.R), units changed as bin/bench paths changes
  # them: a reading half way to the end leaves as much again only if the growth doesn't quicken, and it does.
  it "learns that a path quickens" do
    path = JSON.parse(File.read(File.expand_path("../reference/paths.json", __dir__))).fetch("fatigue")[2]
    read =
      path
        .fetch("cycles")
        .zip(path.fetch("length"))
        .map { |cycles, length| read(cycles * 8e5, 11.0 - (8.0 * (length - 1) / 0.5), 0.05) }
    chances =
      [3, 8].map do |upto|
        bank =
          follow({ "left_inner" => fitted(*read[1..upto], sd_mm: 0.05) }, as_of_km: read[upto].distance_km).hypotheses
        (bank.weights * bank.trend.gt(0)).sum
      end
    expect(chances.first).to be < chances.last
    expect(chances.last).to be > 0.6
  end

  # common practice, no source: owners forget to log new pads
  it "supposes a new set where everything has grown, not where one pad has" do
    grown = { "left_inner" => [6.0, 4.0, 10.5], "left_outer" => [6.0, 4.0, 10.4] }
    one = grown.merge("left_outer" => [6.0, 4.0, 2.5])
    chances =
      [grown, one].map do |read|
        set =
          read.transform_values do |mm|
            fitted(*mm.each_with_index.map { |value, at| read((at + 1) * 30_000.0, value) })
          end
        follow(set, as_of_km: 90_000).renewals_supposed.fetch(90_000.0, 0.0)
      end
    expect(chances.first).to be > 0.95
    expect(chances.last).to be < 0.05
  end

  # common practice, no source: a set that was logged, and read as it went on, is not one that was missed
  it "supposes no second set where the new one is logged, nor where a pad is read for the first time" do
    earlier = [{ "left_inner" => fitted(read(30_000, 5.0)) }]
    logged = { "left_inner" => fitted(read(60_000.0, 11.0), at: 60_000.0) }
    expect(follow(logged, as_of_km: 60_000.0, earlier:).renewals_supposed).to be_empty
    first = { "left_inner" => fitted(read(30_000.0, 7.0)), "left_outer" => fitted(read(60_000.0, 6.0), at: nil) }
    expect(follow(first, as_of_km: 60_000.0).renewals_supposed).to be_empty
  end

  # fact of the trade: jaws on the lip of a worn rotor read too thick; common practice, no source
  it "expects a caliper, not a micrometer, to rest on a rotor's lip" do
    rotor = KNOWLEDGE.prior("rotor")
    read =
      lambda do |method|
        thickness = Graver::Core::Measurement::Thickness.point(24.3, 0.05, group: [method, nil])
        set = { "left" => fitted(read(20_000, 24.6, 0.05).with(thickness:), new_mm: 25.0, sd_mm: 0.03) }
        described_class.new(history(set, as_of_km: 20_000, limit_mm: 23.0), rotor).hypotheses
      end
    now =
      %w[caliper micrometer].map do |method|
        read[method].then { |bank| (bank.mean[bank.thickness("left"), true] * bank.weights).sum }
      end
    expect(now.first).to be < now.last - 0.02
  end
end
