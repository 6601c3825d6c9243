# frozen_string_literal: true

require "prop_check"

RSpec.describe "The road ahead" do
  include WearBuilders

  let(:today) { Date.new(2026, 5, 16) }
  let(:driving) { Graver::Core::Schedule::Driving.new(km_per_day: 50.0, log_sd: 0.2, days_observed: 100, season: nil) }
  let(:life) { Graver::Core::Wear::RemainingLife.new([0.0, 10_000.0, 10_001.0, 20_000.0], [0.0, 0.0, 1.0, 1.0]) }

  def road(**given) = Graver::Core::Schedule::Timeline.new(driving, today, **given)
  def trip(from, to, km, wear_factor = 1.0)
    Graver::Core::Schedule::Trip.new(from: today + from, to: today + to, km: km.to_f, wear_factor:)
  end
  def change(from, km_per_day, wear_factor = 1.0)
    Graver::Core::Schedule::Change.new(from: today + from, km_per_day:, wear_factor:)
  end

  describe Graver::Core::Schedule::Timeline do
    it "widens days with the spread of the driving" do
      days = road.days_until(life)
      expect(days[0.5]).to be_within(6).of(200)
      # a lognormal rate: 10 and 90 percent points of 10,000 km / rate lie at exp(-+1.2816 x 0.2); nine points
      # approximate it
      expect(days[0.1]).to be_within(14).of(200 * Math.exp(-1.2816 * 0.2))
      expect(days[0.9]).to be_within(18).of(200 * Math.exp(1.2816 * 0.2))
    end

    # By hand: 20 days at 50 km, then 10 days of a trip with 200 km a day on top.
    it "counts a trip on top of the usual driving, and for more where it is hard on the brakes" do
      ahead = road(trips: [trip(20, 29, 2000)])
      expect([ahead.days_for(1000), ahead.km_by(today + 30), ahead.days_for(4500)]).to match(
        [be_within(1e-6).of(20), be_within(1e-6).of(3500), be_within(1e-6).of(50)]
      )
      hard = road(trips: [trip(20, 29, 2000, 2.0)])
      # 1,000 usual km, then 500 + 2 x 2,000 while 2,500 are driven: 5,500 usual km are 3,500 on the odometer
      expect(hard.actual_km(5500)).to be_within(1e-6).of(3500)
      expect(hard.along(life).quantile(0.5)).to be_within(1).of(8000)
      expect(hard.days_until(hard.along(life))[0.5]).to be < road.days_until(life)[0.5]
      # who drives just as expected has driven what the odometer will say by then, on any day of the trip and after it
      sure = described_class.new(driving.with(log_sd: 0.0), today, trips: [trip(20, 29, 2000, 2.0)])
      even = Graver::Core::Wear::RemainingLife.new([0.0, 10_000.0], [0.0, 1.0])
      [10, 25, 40].each do |day|
        expect(sure.chance_by(even, day)).to be_within(1e-9).of(sure.km_by(today + day) / 10_000)
      end
    end

    it "follows a change of driving from its date, and the seasons" do
      expect(road(changes: [change(100, 100.0)]).days_for(10_000)).to be_within(1e-6).of(150)
      expect(road(changes: [change(100, nil, 0.5)]).actual_km(7500)).to be_within(1e-6).of(10_000)
      expect(road(changes: [change(-30, 100.0)]).days_for(10_000)).to be_within(1e-6).of(100)
      expect(road(changes: [change(-300, 100.0)]).days_for(10_000)).to be_within(1e-6).of(200)
      summer = [0.5, 0.5, 0.5, 1.5, 1.5, 1.5, 1.5, 1.5, 1.5, 0.5, 0.5, 0.5]
      seasonal = described_class.new(driving.with(season: summer), today)
      expect(seasonal.days_for(1500)).to be_within(0.1).of(20)
      expect(seasonal.km_by(today + 365)).to be_within(400).of(365 * 50)
      # the sixteen days of May to come are slow, the thirty of June fast: 16 x 25 + 30 x 100
      rising = driving.with(season: [1.0, 1.0, 1.0, 1.0, 0.5, 2.0, 1.0, 1.0, 1.0, 1.0, 1.0, 0.5])
      expect(described_class.new(rising, today).km_by(Date.new(2026, 7, 1))).to be_within(1e-6).of(3400)
      expect([today - 3, today].map { |day| road.km_by(day) }).to eq([0.0, 0.0])
    end

    it "never runs back, whatever is planned" do
      PropCheck.forall(
        PropCheck::Generators.array(
          PropCheck::Generators.tuple(
            PropCheck::Generators.choose(0..900),
            PropCheck::Generators.choose(0..60),
            PropCheck::Generators.choose(1..9000)
          ),
          max: 4
        )
      ) do |plans|
        ahead =
          road(
            trips: plans.map { |from, length, km| trip(from, from + length, km, 1.5) },
            changes: plans.map { |from, length, _| change(from, length.to_f) }
          )
        places = (0..40).map { |at| ahead.actual_km(at * 500.0) }
        expect(places).to eq(places.sort)
        expect(ahead.days_until(ahead.along(life)).values).to all(be_finite)
      end
    end
  end

  describe Graver::Core::Schedule::Sessions do
    def due(id, at_km, at_days) = described_class::Due.new(id:, at_km:, at_days:)

    # fact of the trade: both axles in one session save a set-up; common practice, no source
    it "combines what is due near the first, and nothing later" do
      sessions =
        described_class.combine(
          [due("rear", 16_000, 300), due("front", 12_000, 220), due("trailer", 18_000, 400)],
          within_km: 5000,
          within_days: 120
        )
      expect(sessions.map { |session| session.dues.map(&:id) }).to eq([%w[front rear], ["trailer"]])
      expect(sessions.first).to have_attributes(apart_km: 4000, apart_days: 80)
      expect(
        described_class.combine(
          [due("front", 12_000, 220), due("rear", 16_000, 300)],
          within_km: 3999,
          within_days: 120
        ).length
      ).to eq(2)
    end
  end

  describe Graver::Core::Wear::Backtest do
    let(:set) do
      {
        "left_inner" => fitted(read(10_000, 8.0), read(20_000, 5.0), read(30_000, 2.0)),
        "right_inner" => fitted(read(30_000, 3.5))
      }
    end

    it "finds where the first pad met its limit, between the readings" do
      # 3 mm in 10,000 km: from 5.0 to 3.0 are 6,667 km
      expect(described_class.end_of(set, 3.0, 30_000).km).to be_within(1).of(26_667)
      expect(described_class.end_of(set, 1.0, 30_000)).to have_attributes(km: nil, at_least_km: 30_000)
    end

    it "returns whether the range held, or that it isn't known yet" do
      said = { 0.1 => 10_000.0, 0.5 => 15_000.0, 0.9 => 20_000.0 }
      judged =
        lambda do |as_of_km, limit, until_km|
          described_class.judge(said, 9000.0, as_of_km, described_class.end_of(set, limit, until_km))
        end
      expect(judged.call(10_000, 3.0, 30_000)).to have_attributes(
        was_km: be_within(1).of(16_667),
        interval_covered: true,
        late: false
      )
      expect(judged.call(20_000, 3.0, 30_000)).to have_attributes(
        was_km: be_within(1).of(6667),
        interval_covered: false,
        late: true
      )
      expect(judged.call(20_000, 1.0, 30_000)).to have_attributes(
        was_km: nil,
        interval_covered: nil,
        at_least_km: 10_000
      )
      # outlived its range, or went early: censored, not missed; given after the end: no forecast at all
      expect(judged.call(5000, 1.0, 30_000)).to have_attributes(was_km: nil, interval_covered: nil, late: nil)
      replaced = described_class.end_of(set, 1.0, 30_000, replaced: true)
      expect(described_class.judge(said, 9000.0, 20_000, replaced)).to have_attributes(replaced: true, was_km: nil)
      expect(described_class.end_of(set, 3.0, 30_000, replaced: true).replaced).to be(false)
      expect(judged.call(27_000, 3.0, 30_000)).to be_nil
    end

    it "sets the inspection where the chance is still small, however unevenly it is driven" do
      history = { "left_inner" => fitted(read(10_000, 8.0), read(20_000, 5.5)) }
      timeline =
        Graver::Core::Schedule::Timeline.new(
          Graver::Core::Schedule::Driving.new(km_per_day: 33.0, log_sd: 0.4, days_observed: 400, season: nil),
          Date.new(2026, 5, 16)
        )
      life = forecast(history, as_of_km: 20_000).first
      days = timeline.days_at_chance(life, 0.07)
      expect(timeline.chance_by(life, days)).to be_within(0.002).of(0.07)
      # the middle pace alone would come later
      expect(days).to be < timeline.days_for(life.quantile(0.07))
      expect(timeline.days_at_chance(life, 0.05)).to eq(timeline.days_until(life).fetch(0.05))
    end
  end

  describe Graver::Core::Wear::MeasurementValue do
    it "recommends the leading, least-known pad and promises no more than possible" do
      result =
        forecast(
          {
            "left_inner" => fitted(read(20_000, 5.4, 1.0)),
            "left_outer" => fitted(read(20_000, 7.5, 0.1)),
            "right_outer" => fitted(read(20_000, 7.6, 0.1))
          },
          as_of_km: 20_000
        )
      ranked = described_class.rank(result, { "caliper" => 0.15 })
      alone = ranked.select { |worth| worth.positions.one? }
      expect(alone.first.positions).to eq(["left_inner"])
      expect(ranked.map(&:narrows)).to all(be_between(0, 1))
      expect(ranked.first.positions.length).to eq(3)
      # what is already known as well as the reading would know it is hardly worth the wheel
      expect(alone.find { |worth| worth.positions == ["left_outer"] }.narrows).to be < 0.1
      rough = described_class.rank(result, { "visual" => 1.0 }).find { |worth| worth.positions == ["left_inner"] }
      expect(rough.narrows).to be < alone.first.narrows
    end

    # For normal variables the share explained is var / (var + error^2): a forecast whose only doubt is the thickness.
    it "agrees with the closed form where everything else is known" do
      sure =
        WearBuilders.without_surprises(KNOWLEDGE.prior("pad")).with(
          rate_log_sd: 1e-3,
          deviation_log_sd: 1e-3,
          increment_mm: 1e-9,
          component_log_offset: {
          }
        )
      result = Graver::Core::Wear::Forecast.call(history({ "a" => fitted(sd_mm: 0.5) }, as_of_km: 0), sure)
      expect(described_class.rank(result, { "any" => 0.5 }).first.narrows).to be_within(0.01).of(1 - Math.sqrt(0.5))
    end
  end
end
