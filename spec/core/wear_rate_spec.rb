# frozen_string_literal: true

RSpec.describe Graver::Core::Wear::WearRate do
  include WearBuilders

  def pace(*sets)
    prior = KNOWLEDGE.prior("pad").with(set_log_sd: 0.2)
    described_class.of("rear", history(sets.last, as_of_km: 90_000, earlier: sets[0...-1]), prior)
  end

  # By hand: 3 mm in 30,000 km and 6 mm in 30,000 km, read with 0.15 mm each and new to 0.15 mm.
  it "averages a set's pads, and sets by their precision" do
    slow = { "left_inner" => fitted(read(30_000, 8.0)) }
    both = { "left_inner" => fitted(read(30_000, 8.0)), "left_outer" => fitted(read(30_000, 5.0)) }
    of = [Math.log(1e-4), Math.log(2e-4)]
    sds = [3.0, 6.0].map { |mm| Math.hypot(0.15, 0.15) / mm }
    expect(pace(slow).to_h).to include(
      log_rate: be_within(1e-9).of(of[0]),
      log_sd: be_within(1e-9).of(Math.hypot(sds[0], 0.2))
    )
    expect(pace(both).log_rate).to be_within(1e-9).of(of.sum / 2)
    weights = [sds[0], sds.sum / 2].map { |sd| 1 / ((sd**2) + (0.2**2)) }
    expect(pace(slow, both).log_rate).to be_within(1e-9).of(
      ((of[0] * weights[0]) + (of.sum / 2 * weights[1])) / weights.sum
    )
    expect(pace(slow, both).log_sd).to be_within(1e-9).of(1 / Math.sqrt(weights.sum))
  end

  it "returns nothing with too little wear or an unknown fitting date" do
    expect(pace({ "left_inner" => fitted(read(5000, 10.7)) })).to be_nil
    expect(pace({ "left_inner" => fitted(read(30_000, 8.0), at: nil) })).to be_nil
    expect(pace({ "left_inner" => fitted })).to be_nil
  end

  # The conditional mean and variance of a normal pair (closed form): m + r (y - m) s^2 / (s^2 + e^2), and
  # s^2 (1 - r^2 s^2 / (s^2 + e^2)).
  it "moves another axle's estimate by their correlation" do
    stub_const("Graver::Core::Wear::Hypotheses::Hearing::WRONG", 0.0)
    none = [{ share: 1.0, per_life: 0.0 }]
    prior = KNOWLEDGE.prior("pad").with(trends: none, axles_alike: 0.6, axle_log_offset: { "rear" => -0.3 })
    other =
      described_class.new(axle: "rear", log_rate: Math.log(0.3e-3), log_sd: 0.2, usual: prior.usual_log_rate("rear"))
    base = bases(prior, "front", [other])
    middle, sd = Math.log(prior.rate_mm_per_1000km / 1000), prior.rate_log_sd
    away = other.log_rate - (middle - 0.3)
    share = (sd**2) / ((sd**2) + (0.2**2))
    expect(base.first).to be_within(0.02).of(middle + (0.6 * share * away))
    expect(base.last).to be_within(0.02).of(sd * Math.sqrt(1 - ((0.6**2) * share)))
    expect(bases(prior, "rear", []).first).to be_within(0.01).of(middle - 0.3)
    expect(bases(prior.with(axles_alike: 0.0), "front", [other]).first).to be_within(0.01).of(middle)
  end

  # Mean and spread of the logarithm of the axle's rate over all hypotheses.
  def bases(prior, axle, kin)
    bank = Graver::Core::Wear::FirstHypotheses.new(prior, ["left_inner"], 1000).call(axle, kin)
    means, variances, weights = bank.mean[0, true], bank.covariance[0, 0, true], bank.weights
    mean = (means * weights).sum
    [mean, Math.sqrt(((variances + ((means - mean)**2)) * weights).sum)]
  end
end
