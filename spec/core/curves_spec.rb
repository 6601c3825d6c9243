# frozen_string_literal: true

require "json"

RSpec.describe "Curves and days" do
  describe Graver::Core::Wear::Normal do
    # Reference: qnorm and pnorm of R, spec/reference/wear.R.
    it "agrees with R" do
      reference = JSON.parse(File.read(File.expand_path("../reference/wear.json", __dir__)))["normal_quantiles"]
      expect([0.05, 0.25, 0.9].map { |p| described_class.quantile(p).round(5) }).to eq(reference.map { |z| z.round(5) })
      expect(reference.map { |z| described_class.cumulative(z).round(5) }).to eq([0.05, 0.25, 0.9])
    end

    # Against the trapezoid sum of the density itself.
    it "returns mean and variance between two bounds" do
      xs = (0..20_000).map { |step| 5.0 + (step / 20_000.0) }
      density = xs.map { |x| described_class.density(x, 5.9, 0.6) }
      mass = density.sum / 20_000
      mean = xs.zip(density).sum { |x, d| x * d } / density.sum
      variance = xs.zip(density).sum { |x, d| ((x - mean)**2) * d } / density.sum
      [mass, mean, variance].zip(described_class.truncated(5.9, 0.6, 5.0, 6.0))
        .each { |sum, closed| expect(closed).to be_within(2e-4).of(sum) }
    end

    it "stays finite far outside the bounds" do
      expect(described_class.truncated(50.0, 0.1, 5.0, 6.0)).to eq([0.0, 6.0, 1e-4]).or match(
             [be < 1e-12, 6.0, be_positive]
           )
    end
  end

  describe Graver::Core::Wear::RemainingLife do
    subject(:life) { described_class.new([0.0, 1000.0, 3000.0], [0.02, 0.5, 1.0]) }

    it "converts between quantiles and the curve, linear between points" do
      expect(life.quantile(0.5)).to eq(1000.0)
      expect(life.quantile(0.75)).to be_within(1e-9).of(2000)
      expect(life.quantile(0.01)).to eq(0.0)
      [0.05, 0.3, 0.6, 0.99].each { |p| expect(life.chance_passed(life.quantile(p))).to be_within(1e-12).of(p) }
      expect([life.chance_passed(-5), life.chance_passed(9e9)]).to eq([life.chance_now, 1.0])
    end
  end

  describe Graver::Core::Schedule::AxleForecast do
    include WearBuilders

    def answer(driving_km: 50.0, last_look: Date.new(2026, 5, 16))
      pads = forecast({ "left_inner" => fitted(read(20_000, 8.0)) }, as_of_km: 20_000)
      rotors =
        Graver::Core::Wear::Forecast.call(
          history({ "left" => fitted(read(20_000, 22.12, 0.03), new_mm: 22.46) }, as_of_km: 20_000, limit_mm: 22.0),
          KNOWLEDGE.prior("rotor")
        )
      driving =
        Graver::Core::Schedule::Driving.new(km_per_day: driving_km, log_sd: 0.2, days_observed: 300, season: nil)
      described_class::Answer.new(
        as_of_date: Date.new(2026, 5, 16),
        as_of_km: 20_000.0,
        pads:,
        rotors:,
        timeline: Graver::Core::Schedule::Timeline.new(driving, Date.new(2026, 5, 16)),
        looks:
          { "pad" => pads, "rotor" => rotors }.transform_values do |result|
            Graver::Core::Schedule::NextLook.call(result.futures, KNOWLEDGE.look_costs)
          end,
        costs: KNOWLEDGE.look_costs,
        last_look:,
        kin: [],
        why: {
        }
      )
    end

    it "converts distances into rising dates, earlier with more driving" do
      dates = answer.dates(answer.pads.first).values
      expect(dates).to eq(dates.sort)
      expect(answer(driving_km: 100.0).dates(answer.pads.first)[0.5]).to be < dates[3]
      expect(answer.date_for(500)).to eq(Date.new(2026, 5, 26))
    end

    it "never sets an inspection later than a year, and counts a rotor near its limit" do
      expect(answer(driving_km: 0.01).look_again_date(365)).to eq(Date.new(2027, 5, 16))
      # it runs from the last look, so that it falls due; what nobody has looked at is looked at now
      expect(answer(driving_km: 0.01, last_look: Date.new(2025, 3, 1)).look_again_date(365)).to eq(Date.new(2026, 3, 1))
      expect(answer(driving_km: 0.01, last_look: nil).look_again_date(365)).to eq(Date.new(2026, 5, 16))
      expect(answer.look_again_at_either_km).to be < answer.look_again_km
    end

    it "returns the measures the rules use" do
      measures =
        Graver::Core::Judgement::AxleMeasures.call(
          answer(last_look: Date.new(2025, 5, 1)),
          floor_mm: 1.6,
          discard_mm: 22.0,
          most_days: 365
        )
      expect(measures).to include(
        "pad_readings" => 1,
        "limit_mm" => 3.0,
        "thinnest_rotor_mm" => be_within(0.05).of(22.12),
        "doubted_readings" => 0
      )
      expect(measures["rotor_below_discard_chance"]).to be_between(0.0, 0.2)
      expect(measures["pad_below_floor_chance"]).to be < 1e-6
      expect(measures).to include("inspection_overdue_days" => 15, "last_look" => "2025-05-01")
      expect(measures.keys).not_to include("inspect_wear_days", "inspect_time_days")
      unread = answer.with(pads: nil, rotors: nil, looks: {})
      expect(
        Graver::Core::Judgement::AxleMeasures.call(unread, floor_mm: 1.6, discard_mm: nil, most_days: 365)
      ).to include("pad_readings" => 0, "doubted_readings" => 0)
    end

    # the thinnest decides about the axle: common practice, no source
    it "measures an axle by its worst pad" do
      worn =
        WearBuilders::Wear::Forecast.call(
          history(
            { "left_inner" => fitted(read(40_000, 1.2)), "left_outer" => fitted(read(40_000, 8.0)) },
            as_of_km: 40_000
          ),
          KNOWLEDGE.prior("pad")
        )
      measures =
        Graver::Core::Judgement::AxleMeasures.call(
          answer.with(pads: worn),
          floor_mm: 1.6,
          discard_mm: 22.0,
          most_days: 365
        )
      expect(measures["pad_below_floor_chance"]).to be > 0.9
      expect(measures).to include(
        "thinnest_pad_mm" => be_within(0.1).of(1.2),
        "pad_due_chance" => be > 0.99,
        "careful_km" => 0.0,
        "careful_days" => 0.0
      )
    end

    it "returns the reason when there is no forecast" do
      without =
        KNOWLEDGE.outlook.call(
          entries: [],
          specifications: {
            "pad" => nil,
            "rotor" => nil
          },
          as_of_date: Date.new(2026, 5, 16),
          as_of_km: 0.0,
          driving: KNOWLEDGE.outlook.driving([])
        )
      expect(without).to have_attributes(
        pads: nil,
        look_again_km: nil,
        why: {
          "pad" => /no limit/,
          "rotor" => /discard thickness/
        }
      )
    end
  end
end
