# frozen_string_literal: true

require "prop_check"

RSpec.describe "The parts of the forecast" do
  include WearBuilders

  let(:prior) { KNOWLEDGE.prior("pad") }
  let(:calm) { WearBuilders.without_surprises(prior) }

  describe Graver::Core::Wear::AxleFilter do
    # A reading so vague that it tells nothing leaves every belief as it was.
    it "starts with the prior chance of a wrong service" do
      odd = prior.with(wrong_service: { share: 0.2, sd_mm: 1.0 }, plate_service: { share: 0.0, sd_mm: 1.0, mm: nil })
      set = { "left_inner" => fitted(read(100, 8.0, 200.0)) }
      bank = follow(set, as_of_km: 100.0, with: odd).hypotheses
      wrong = bank.marks.find { |key, _| key.is_a?(Array) && key.first == "left_inner" }.last
      believed = 1 - ((1 - 0.2) * (1 - odd.wrong[:share]))
      expect((wrong * bank.weights).sum).to be_within(0.02).of(believed)
    end

    it "starts with the prior's drift" do
      bank = follow({ "left_inner" => fitted }, as_of_km: 0.0).hypotheses
      drift = WearBuilders::Wear::Hypotheses::DRIFT
      expect(bank.covariance[drift, drift, true].to_a.map { |each| Math.sqrt(each).round(6) }.uniq).to match_array(
        prior.drifts.map { |each| each[:log_sd].round(6) }.uniq
      )
    end

    it "learns more from four pads than from one, for an unread pad too" do
      four = %w[left_inner left_outer right_inner right_outer].to_h { |pad| [pad, fitted(read(20_000, 7.0))] }
      one, all =
        [four.slice("left_inner"), four].map { |set| rate(follow(set, as_of_km: 20_000, with: calm), "left_inner") }
      expect(all.last).to be < one.last
      # 4 mm in 20,000 km is 0.2 mm in 1,000 km
      expect(all.first).to be_within(0.015).of(0.2)
      unread = follow(four.merge("right_outer" => fitted), as_of_km: 20_000, with: calm)
      expect(rate(unread, "right_outer").first).to be_within(0.03).of(0.19)
    end

    # fact of the trade: a seized pin wears one pad at about twice the pace; common practice, no source
    it "follows one pad that has sped up without dragging the others along" do
      even = ->(*mm) { fitted(*mm.each_with_index.map { |value, at| read((at + 1) * 8000.0, value) }) }
      set = {
        "left_inner" => even.call(9.9, 8.8, 6.3),
        "left_outer" => even.call(10.0, 9.0, 8.0),
        "right_inner" => even.call(9.9, 8.8, 7.7),
        "right_outer" => even.call(10.0, 9.0, 8.1)
      }
      filter = follow(set, as_of_km: 24_000)
      expect(rate(filter, "left_inner").first).to be_between(0.2, 0.35)
      expect(rate(filter, "right_inner").first).to be_between(0.115, 0.16)
    end

    # fact of the trade: a caliper zeroed wrong is off on every pad that day; common practice, no source
    it "treats a service that is off as a wrong instrument and names its readings" do
      set =
        %w[left_inner left_outer right_inner right_outer].to_h do |pad|
          [pad, fitted(read(10_000, 9.6, ref: 1), read(20_000, 7.0, ref: 2), read(30_000, 6.8, ref: 3))]
        end
      filter = follow(set, as_of_km: 30_000)
      chances =
        filter
          .wrong_chances
          .group_by { |(_, seen), _| seen.ref }
          .transform_values { |list| list.sum(&:last) / list.length }
      expect(chances[2]).to be > 0.6
      expect(chances.values_at(1, 3)).to all(be < 0.4)
      expect(rate(filter, "left_inner").first).to be_within(0.03).of(0.14)
    end

    # facts of the trade: a seized pin takes the braking off the other pad, or leaves it as it was; common practice, no
    # source
    it "tells a stopped opposite pad from a wearing one, with both rates" do
      pads =
        lambda do |mate|
          {
            "left_inner" => fitted(read(8000, 9.9, 0.05), read(16_000, 8.8, 0.05), read(24_000, 6.6, 0.05)),
            "left_outer" => fitted(read(8000, 9.9, 0.05), read(16_000, 8.8, 0.05), read(24_000, mate, 0.05)),
            "right_inner" => fitted(read(8000, 9.9, 0.05), read(16_000, 8.8, 0.05), read(24_000, 7.7, 0.05))
          }
        end
      stopped, going = [8.6, 7.7].map { |mate| follow(pads.call(mate), as_of_km: 24_000) }
      expect(rate(stopped, "left_inner").first).to be_between(0.22, 0.36)
      # whose it was, and where: between the last two readings
      found = stopped.changes_supposed
      expect(found["left_inner"]).to match(chance: be > 0.8, since_km: be_between(14_000, 20_000))
      expect(found.except("left_inner").values.sum { |each| each[:chance] }).to be < 0.15
      # new pads begin anew
      renewed =
        follow(pads.call(8.6).transform_values { fitted(at: 24_000.0) }, as_of_km: 24_000, earlier: [pads.call(8.6)])
      expect(renewed.changes_supposed["left_inner"][:chance]).to be < 0.01
      # 1.1 mm in 8,000 km is 0.1375 mm in 1,000 km; 0.2 mm is 0.025
      expect(rate(stopped, "left_outer").first).to be < 0.08
      expect(rate(going, "left_outer").first).to be_between(0.11, 0.17)
    end

    # Bayes' rule over five thicknesses by hand would do: what the second reading leaves of them has worn 0.2 mm in
    # 20,000 km since the first, so the 0.5 mm before took some 50,000 km or the rotor was thinner from the start.
    it "weighs a rotor's possible new thicknesses by its readings" do
      unknown =
        lambda do |choices|
          observations = [read(20_000, 22.8, 0.02), read(40_000, 22.6, 0.02)]
          new = WearBuilders::Thickness.point(24.0, 0.71, shared_mm: 0.7)
          Graver::Core::Wear::Fitting.new(fitted_km: 0.0, new:, observations:, choices:)
        end
      rates =
        [[23.0, 23.5, 24.0, 24.5, 25.0], nil].map do |choices|
          rate(follow({ "left" => unknown.call(choices) }, as_of_km: 40_000, with: KNOWLEDGE.prior("rotor")), "left")
        end
      # 0.2 mm in 20,000 km, and in the 20,000 before it, were it new at 23.0
      expect(rates.first.first).to be_between(0.009, 0.014)
      expect(rates.first.last).to be < rates.last.last
    end

    # By hand: readings that scatter three times as wide as usual speak for careless hands.
    it "learns how large the errors are" do
      usual = prior.with(errors: [{ share: 0.5, times: 0.7 }, { share: 0.5, times: 2.0 }])
      scattered = [10.4, 9.5, 9.9, 8.6, 9.1].each_with_index.map { |mm, at| read((at + 1) * 3000.0, mm, 0.15) }
      smooth = [10.5, 10.0, 9.6, 9.1, 8.7].each_with_index.map { |mm, at| read((at + 1) * 3000.0, mm, 0.15) }
      careless, careful =
        [scattered, smooth].map do |readings|
          bank = follow({ "left_inner" => fitted(*readings) }, as_of_km: 15_000, with: usual).hypotheses
          (bank.weights * bank.error.gt(1.0)).sum
        end
      expect(careless).to be > 0.75
      expect(careful).to be < 0.4
    end

    it "learns how often things change on this axle" do
      even = [8000, 16_000, 24_000, 32_000].map { |km| read(km, 11.0 - (km * 0.14e-3), 0.05) }
      bent = [read(8000, 9.9, 0.05), read(16_000, 8.8, 0.05), read(24_000, 6.5, 0.05), read(32_000, 4.2, 0.05)]
      quiet =
        [even, bent].map do |readings|
          pads = %w[left_inner left_outer right_inner].to_h { |pad| [pad, fitted(*readings)] }
          follow(pads, as_of_km: 32_000).quiet
        end
      expect(quiet.first).to be > prior.quiet[:share] + 0.05
      expect(quiet.last).to be < prior.quiet[:share]
      expect(follow({ "left_inner" => fitted }, as_of_km: 0).quiet).to be_within(1e-9).of(prior.quiet[:share])
    end

    it "lets a freed corner wear differently afterwards" do
      late = {
        "left_inner" => fitted(read(10_000, 8.0), read(20_000, 5.0)),
        "left_outer" => fitted(read(10_000, 9.8), read(20_000, 8.6))
      }
      before, after =
        [[], [[20_000.0, %w[left_inner left_outer]]]].map do |freed|
          rate(follow(late, as_of_km: 20_000, freed:), "left_inner")
        end
      expect(after.first).to be < before.first
      expect(after.last).to be > before.last
    end

    # common practice, no source: a pin that seizes changes how both pads of its caliper wear, not those of the other
    it "widens the opposite pad's estimate after a change, not the other side's" do
      early = [read(10_000, 10.3, 0.05), read(20_000, 9.6, 0.05)]
      set = %w[left_outer right_inner right_outer].to_h { |pad| [pad, fitted(*early)] }
      bent = { "left_inner" => fitted(*early, read(30_000, 6.0, 0.05), read(40_000, 2.4, 0.05)), **set }
      filter = follow(bent, as_of_km: 40_000)
      spreads = set.keys.to_h { |pad| [pad, rate(filter, pad).last] }
      expect(spreads["left_outer"]).to be > 1.05 * spreads.values_at("right_inner", "right_outer").max
      expect(spreads["right_inner"]).to be_within(0.08 * spreads["right_outer"]).of(spreads["right_outer"])
    end

    it "starts an unknown fitting at its first reading" do
      unknown =
        Graver::Core::Wear::Fitting.new(
          fitted_km: nil,
          new: WearBuilders::Thickness.point(11.0, 1.2),
          observations: [read(10_000, 6.0, 0.1)]
        )
      now =
        Graver::Core::Wear::Forecast.call(history({ "left_inner" => unknown }, as_of_km: 10_000), calm).now[
          "left_inner"
        ]
      expect(now.values).to match([be_within(0.02).of(6.0), be_within(0.02).of(0.1)])
    end

    it "infers steady wear from a line and a change from a bend" do
      bent = fitted(read(10_000, 10.3, 0.05), read(20_000, 9.6, 0.05), read(30_000, 7.0, 0.05), read(40_000, 4.3, 0.05))
      # after the bend the pad wears 2.7 mm in 10,000 km, not the 1.7 of its whole life: 1.3 mm are 4,900 km away, not
      # 7,800
      expect(forecast({ "left_inner" => bent }, as_of_km: 40_000).first.quantile(0.5)).to be_between(4200, 6350)
    end
  end

  describe Graver::Core::Wear::LatinHypercube do
    it "spreads each row evenly, in an order unlike that of the others" do
      rows = described_class.normal(6, 400)
      expect([rows.mean(axis: 1).abs.max, (rows.stddev(axis: 1) - 1).abs.max]).to all(be < 0.02)
      products = (0...6).to_a.combination(2).map { |one, other| (rows[one, true] * rows[other, true]).mean.abs }
      # chance correlation of 400 draws has a standard deviation of 0.05
      expect(products.max).to be < 0.15
      expect(described_class.chances(2, 4).to_a.map(&:sort)).to all(eq([0.125, 0.375, 0.625, 0.875]))
    end
  end

  # Bayes' rule by hand: changes come by chance, so that nothing happens in a life with a chance of exp(-rate).
  describe Graver::Core::Wear::ChangeTable do
    it "weighs a quiet axle against a lively one by whether anything happened" do
      how = { per_life: 2.0, log_mean: 0.5, log_sd: 0.3 }
      one = prior.with(axle_changes: [how], seizures: [], spells: [], quiet: { share: 0.4, times: 0.1, pin_times: 0.7 })
      quiet = Numo::DFloat[0.4, 0.9]
      chances, after = described_class.new(one, ["left"], ["left"], [0.5]).chances(Numo::DFloat[0.3, 0.3], quiet)
      lively, calm = Math.exp(-2.0 * 0.3), Math.exp(-0.2 * 0.3)
      [0.4, 0.9].each_with_index do |share, at|
        nothing = (share * calm) + ((1 - share) * lively)
        expect(chances[true, at].to_a).to match([be_within(1e-9).of(nothing), be_within(1e-9).of(1 - nothing)])
        expect(after[true, at].to_a).to match(
          [be_within(1e-9).of(share * calm / nothing), be_within(1e-9).of(share * (1 - calm) / (1 - nothing))]
        )
      end
    end

    it "lets pins seize on a quiet axle more often than its rate changes" do
      pin = { per_life: 2.0, log_mean: 0.7, log_sd: 0.2, mate_log_mean: 0.0, mate_log_sd: 0.1 }
      one =
        prior.with(
          axle_changes: [],
          seizures: [pin],
          seizure_weights: {
            "left" => 1.0
          },
          quiet: {
            share: 1.0,
            times: 0.0,
            pin_times: 0.5
          }
        )
      chances, = described_class.new(one, ["left"], ["left"], [0.5]).chances(Numo::DFloat[0.3], Numo::DFloat[1.0])
      expect(chances[1, 0]).to be_within(1e-9).of(1 - Math.exp(-0.3))
    end
  end
end
