# frozen_string_literal: true

require "prop_check"

RSpec.describe "The parts of the forecast" do
  include WearBuilders

  let(:prior) { KNOWLEDGE.prior("pad") }
  let(:calm) { prior.with(drift_log_sd: 1e-9, change_share: 0.0, wrong_share: 1e-12) }

  describe Graver::Core::Wear::RateGrid do
    subject(:grid) { described_class.new(prior) }

    it "is even in the logarithm, about the prior's median" do
      expect(grid.rate(0)).to be_within(1e-12).of(0.141e-3)
      steps = grid.axle.each_cons(2).map { |one, other| Math.log(grid.rate(other) / grid.rate(one)) }
      expect(steps).to all(be_within(1e-12).of(described_class::STEP))
    end

    it "spreads normal weights with the mean and spread asked for" do
      weights = grid.normal_weights(grid.axle, 0.3, 0.5)
      mean = grid.axle.zip(weights).sum { |index, weight| grid.log(index) * weight }
      sd = Math.sqrt(grid.axle.zip(weights).sum { |index, weight| ((grid.log(index) - mean)**2) * weight })
      expect([weights.sum, mean, sd]).to match([be_within(1e-9).of(1), be_within(0.01).of(0.3), be_within(0.01).of(0.5)])
    end

    # Variances of independent normals add.
    it "blurs by adding variances and keeps the total" do
      weights = grid.blur(grid.normal_weights(grid.axle, 0.0, 0.4), 0.3)
      variance = grid.axle.zip(weights).sum { |index, weight| (grid.log(index)**2) * weight }
      expect([weights.sum, Math.sqrt(variance)]).to match([be_within(1e-9).of(1), be_within(0.01).of(0.5)])
    end
  end

  describe Graver::Core::Wear::ComponentFilter do
    def follow(fitting, rate: 0.15e-3, as_of_km: 10_000.0, with: calm, freed_km: [])
      described_class.new(with, limit_mm: 3.0, as_of_km:, freed_km:).call(fitting, rate)
    end

    # Conjugate normal update by hand: 11 - 1.5 = 9.5 with variance 0.15^2 + 0.035 x 1.5; reading 9.2 with 0.2.
    it "weighs a reading against what was expected as the normal model does" do
      variance = (0.15**2) + (calm.increment_mm * 1.5)
      gain = variance / (variance + 0.04)
      state = follow(fitted(read(10_000, 9.2, 0.2)))
      expect(state.mean_mm).to be_within(1e-6).of(9.5 + (gain * (9.2 - 9.5)))
      expect(state.variance).to be_within(1e-6).of(variance * (1 - gain))
      expect(state.log_likelihood).to be_within(1e-6).of(Math.log(Graver::Core::Wear::Normal.density(9.2, 9.5, Math.sqrt(variance + 0.04))))
    end

    it "wears on after the last reading, and less surely" do
      now, later = [10_000.0, 20_000.0].map { |as_of_km| follow(fitted(read(10_000, 9.2)), as_of_km:) }
      expect(now.mean_mm - later.mean_mm).to be_within(1e-6).of(1.5)
      expect(later.variance).to be > now.variance
    end

    it "starts an unknown fitting at its first reading" do
      state = follow(Graver::Core::Wear::Fitting.new(fitted_km: nil, new: WearBuilders::Thickness.point(11.0, 1.2), observations: [read(10_000, 6.0, 0.1)]))
      expect([state.mean_mm, Math.sqrt(state.variance)]).to match([be_within(0.01).of(6.0), be_within(0.01).of(0.1)])
    end

    it "doubts a reading the more, the less it is trusted" do
      chances = [1.0, 0.5].map { |trust| follow(fitted(read(10_000, 10.6, 0.2, trust:)), with: prior).doubts.first }
      expect(chances[0]).to be < chances[1]
    end

    it "lets a part that was freed, or that changed, have worn otherwise before" do
      late = fitted(read(10_000, 8.0), read(20_000, 7.4), read(30_000, 6.8))
      slow_now = ->(**more) { follow(late, rate: 0.06e-3, as_of_km: 30_000.0, **more).log_likelihood }
      expect(slow_now.call(freed_km: [10_000.0])).to be > slow_now.call + 1
      expect(slow_now.call(with: calm.with(change_share: 0.5))).to be > slow_now.call + 1
    end
  end

  describe Graver::Core::Wear::AxlePosterior do
    def posterior(set, as_of_km: 20_000.0, earlier: []) = described_class.new(history(set, as_of_km:, earlier:), prior)

    def median(posterior)
      total = 0.0
      posterior.grid.rate(posterior.grid.axle[posterior.axle_weights.index { |weight| (total += weight) >= 0.5 }]) * 1000
    end

    it "shares strength: four pads say more of the axle's rate than one" do
      four = %w[left_inner left_outer right_inner right_outer].to_h { |pad| [pad, fitted(read(20_000, 7.0))] }
      one, all = [four.slice("left_inner"), four].map { |set| posterior(set) }
      expect(all.axle_weights.max).to be > one.axle_weights.max
      # 4 mm in 20,000 km is 0.2 mm in 1,000 km
      expect(median(all)).to be_within(0.025).of(0.2)
    end

    it "explains readings that agree with the prior better than odd ones" do
      usual, odd = [8.2, 2.0].map { |mm| posterior({ "left_inner" => fitted(read(20_000, mm)) }).log_evidence }
      expect(usual).to be > odd
    end

    it "weights add up, per component and given the axle's rate" do
      known = posterior({ "left_inner" => fitted(read(20_000, 7.0)), "left_outer" => fitted })
      expect(known.rate_weights("left_outer").sum).to be_within(1e-9).of(1)
      expect(known.likely_rates.map { |at, _| known.deviation_weights("left_inner", at).sum }).to all(be_within(1e-9).of(1))
    end
  end

  describe Graver::Core::Wear::Survival do
    it "falls from now on and reaches nearly nought where the curve ends, whatever was read" do
      pairs = PropCheck::Generators.tuple(PropCheck::Generators.choose(500..15_000), PropCheck::Generators.choose(20..110))
      PropCheck.forall(PropCheck::Generators.array(pairs, min: 1, max: 4)) do |steps|
        at = 0.0
        readings = steps.map { |distance, tenths| read(at += distance, tenths / 10.0) }
        life = forecast({ "left_inner" => fitted(*readings) }, as_of_km: at).first
        expect(life.passed).to eq(life.passed.sort)
        expect(life.passed.last).to be > 0.95
      end
    end
  end

  describe "the suppositions" do
    it "believes in steady wear where readings lie on a line, and in change where they bend" do
      line = fitted(read(10_000, 9.5, 0.05), read(20_000, 8.0, 0.05), read(30_000, 6.5, 0.05), read(40_000, 5.0, 0.05))
      bent = fitted(read(10_000, 10.3, 0.05), read(20_000, 9.6, 0.05), read(30_000, 7.0, 0.05), read(40_000, 4.3, 0.05))
      steady, changing = [line, bent].map do |fitting|
        worlds = prior.worlds.map { |world| Graver::Core::Wear::World.new(history({ "left_inner" => fitting }, as_of_km: 40_000), prior, world) }
        worlds.first.log_weight - worlds.last.log_weight
      end
      expect(steady).to be > 0
      expect(changing).to be < 0
      # after the bend the pad wears 2.7 mm in 10,000 km, not the 1.7 of its whole life: 1.3 mm are 4,900 km away, not 7,800
      expect(forecast({ "left_inner" => bent }, as_of_km: 40_000).first.quantile(0.5)).to be_between(4500, 6350)
    end
  end
end
