# frozen_string_literal: true

RSpec.describe Graver::Core::Wear::Hypotheses do
  def kind(drift_sd = 1e-6, error: 1.0, history_hash: 0.0)
    described_class::Kind.new(drift_sd:, drift_km: 20_000.0, error:, history_hash:, off: 0.0)
  end

  # One hypothesis: base rate 0.15 mm per 1,000 km with the given spread, thickness 11 mm with 0.15.
  def single(log_sd: 0.0)
    described_class.new(
      ["a"],
      [Math.log(0.15e-3), 0.0, 0.0, 0.0, 11.0].zip,
      [log_sd**2, 0.0, 0.0, 0.0, 0.15**2].zip,
      [0.0],
      [kind]
    )
  end

  def thickness(bank) = [bank.mean[4, 0], bank.covariance[4, 4, 0]]

  # Conjugate normal update by hand: 11 - 1.5 = 9.5 with variance 0.15^2 + 0.035 x 1.5; reading 9.2 with 0.2.
  it "weighs a reading against what was expected as the normal model does" do
    bank = single
    bank.wear(10_000.0, 0.035, 0.5)
    variance = (0.15**2) + (0.035 * 1.5)
    expect(thickness(bank)).to match([be_within(1e-9).of(9.5), be_within(1e-9).of(variance)])
    bank.observe("a", WearBuilders::Thickness.point(9.2, 0.2), { share: 0.0, sd_mm: 1.0 })
    gain = variance / (variance + 0.04)
    expect(thickness(bank)).to match(
      [be_within(1e-6).of(9.5 + (gain * -0.3)), be_within(1e-6).of(variance * (1 - gain))]
    )
    expect(bank.log_weight[0]).to be_within(1e-6).of(
      Math.log(Graver::Core::Wear::Normal.density(9.2, 9.5, Math.sqrt(variance + 0.04)))
    )
  end

  # Mean and variance of a lognormal variable (closed form): exp(m + v/2), (exp(v) - 1) exp(2m + v).
  it "wears by a lognormal amount, correlated with thickness" do
    bank = single(log_sd: 0.3)
    bank.wear(10_000.0, 0.0, 0.5)
    mean = 1.5 * Math.exp(0.045)
    expect(thickness(bank)).to match(
      [be_within(1e-9).of(11 - mean), be_within(1e-9).of((0.15**2) + ((Math.exp(0.09) - 1) * (mean**2)))]
    )
    expect(bank.covariance[0, 4, 0]).to be_within(1e-9).of(-0.09 * mean)
  end

  # Covariance of two lognormal variables (closed form): (exp(c) - 1) m1 m2, c the covariance of the logarithms; plus
  # the share of the unevenness they have in common, sqrt(v1 v2) each.
  it "wears two parts together by their shared rate and unevenness" do
    pair =
      described_class.new(
        %w[a b],
        [Math.log(0.15e-3), 0.0, 0.0, 0.1, -0.1, 11.0, 10.0].zip,
        [0.3**2, 0.0, 0.0, 0.0, 0.0, 0.04, 0.09].zip,
        [0.0],
        [kind]
      )
    pair.wear(10_000.0, 0.04, 0.25)
    first, second = [0.1, -0.1].map { |own| 1.5 * Math.exp(own + 0.045) }
    expect(pair.covariance[5, 6, 0]).to be_within(1e-9).of(
      ((Math.exp(0.09) - 1) * first * second) + (0.25 * 0.04 * Math.sqrt(first * second))
    )
    expect(pair.covariance[5, 5, 0]).to be_within(1e-9).of(
      0.04 + ((Math.exp(0.09) - 1) * first * first) + (0.04 * first)
    )
    expect(pair.covariance[0, 6, 0]).to be_within(1e-9).of(-0.09 * second)
    before = pair.covariance.dup
    # what is not on does not wear
    pair.wear(5000.0, 0.04, 0.25, on: Numo::DFloat[1.0, 0.0])
    expect([pair.mean[6, 0], pair.covariance[6, 6, 0]]).to eq([10.0 - second, before[6, 6, 0]])
  end

  # A mixture's mean and covariance (closed form): sum of w m, sum of w (C + (m - mean)(m - mean)').
  it "merges two of the same history that believe nearly the same, and no others" do
    bank =
      described_class.new(
        ["a"],
        [[-8.8, -8.7, -8.75, -5.0], [0.0] * 4, [0.0] * 4, [0.0] * 4, [10.0, 10.2, 10.1, 10.0]],
        [[0.04] * 4, [0.0] * 4, [0.0] * 4, [0.0] * 4, [0.02] * 4],
        [0.5, 0.3, 0.1, 0.1].map { |weight| Math.log(weight) },
        [kind(history_hash: 1.0), kind(history_hash: 1.0), kind(history_hash: 2.0), kind(history_hash: 1.0)]
      )
    bank.mark(:said, Numo::DFloat[1.0, 0.2, 0.0, 0.0])
    bank.quiet[0..1] = [0.9, 0.1]
    bank.merge
    expect(bank.length).to eq(3)
    at = bank.weights.max_index
    expect(bank.weights.to_a.max).to be_within(1e-9).of(0.8)
    share = 0.5 / 0.8
    expect(bank.mean[4, at]).to be_within(1e-9).of((share * 10.0) + ((1 - share) * 10.2))
    expect(bank.covariance[0, 4, at]).to be_within(1e-9).of(share * (1 - share) * 0.1 * 0.2)
    expect(bank.covariance[4, 4, at]).to be_within(1e-9).of(0.02 + (share * (1 - share) * 0.04))
    expect(bank.marks[:said][at]).to be_within(1e-9).of(share + ((1 - share) * 0.2))
    expect(bank.quiet[at]).to be_within(1e-9).of((share * 0.9) + ((1 - share) * 0.1))
    expect(bank.history_hash.to_a).to contain_exactly(1.0, 1.0, 2.0)
  end

  # Against the conjugate update by hand, the reading's error twice as large.
  it "weighs a reading less where its errors are assumed larger" do
    careless =
      described_class.new(
        ["a"],
        [[0.0], [0.0], [0.0], [0.0], [11.0]],
        [[0.0], [0.0], [0.0], [0.0], [0.04]],
        [0.0],
        [kind(error: 2.0)]
      )
    careless.observe("a", WearBuilders::Thickness.point(10.4, 0.1), { share: 0.0, sd_mm: 1.0 })
    expect(thickness(careless)).to match([be_within(1e-9).of(11 - 0.3), be_within(1e-9).of(0.02)])
  end

  # Against the truncated normal in closed form, which curves_spec.rb checks against its own sum.
  it "takes a gauge as an interval" do
    bank = single
    bank.observe("a", WearBuilders::Thickness.interval(10.0, 11.0), { share: 0.0, sd_mm: 1.0 })
    mass, mean, variance = Graver::Core::Wear::Normal.truncated(11.0, 0.15, 10.0, 11.0)
    expect([Math.exp(bank.log_weight[0]), *thickness(bank)]).to match(
      [be_within(1e-6).of(mass), be_within(1e-6).of(mean), be_within(1e-6).of(variance)]
    )
    far = single
    far.observe("a", WearBuilders::Thickness.interval(0.0, 1.0), { share: 0.0, sd_mm: 1.0 })
    expect([*thickness(far), far.log_weight[0]]).to all(be_finite)
  end

  # Bayes' rule and the law of total variance by hand: a reading of 9.0 where 11 +/- 0.15 was, read with 0.2; right
  # (0.9) or off by 2 mm (0.1).
  it "weighs whether a reading is wrong and uses it accordingly" do
    bank = single
    chance = bank.observe("a", WearBuilders::Thickness.point(9.0, 0.2), { share: 0.1, sd_mm: 2.0 })[0]
    sds = [0.04, 0.04 + 4.0].map { |error| Math.sqrt((0.15**2) + error) }
    right, wrong = [0.9, 0.1].zip(sds).map { |share, sd| share * Graver::Core::Wear::Normal.density(9.0, 11.0, sd) }
    expect(chance).to be_within(1e-9).of(wrong / (right + wrong))
    expect(bank.log_weight[0]).to be_within(1e-9).of(Math.log(right + wrong))
    gains = sds.map { |sd| (0.15**2) / (sd**2) }
    means = gains.map { |gain| 11 - (2 * gain) }
    mean = (means[0] * (1 - chance)) + (means[1] * chance)
    variances = gains.zip(means).map { |gain, each| ((0.15**2) * (1 - gain)) + ((each - mean)**2) }
    variance = (variances[0] * (1 - chance)) + (variances[1] * chance)
    expect(thickness(bank)).to match([be_within(1e-9).of(mean), be_within(1e-9).of(variance)])
  end

  # Ornstein-Uhlenbeck process (closed form): it keeps exp(-d / length) of what it was, and its spread for ever.
  it "forgets drift over distance" do
    bank =
      described_class.new(["a"], [0.0, 0.4, 0.0, 0.0, 11.0].zip, [0.0, 0.3**2, 0.0, 0.0, 0.0].zip, [0.0], [kind(0.3)])
    bank.drift(10_000.0)
    bank.drift(5000.0)
    expect(bank.mean[described_class::DRIFT, 0]).to be_within(1e-9).of(0.4 * Math.exp(-0.75))
    expect(bank.covariance[described_class::DRIFT, described_class::DRIFT, 0]).to be_within(1e-9).of(0.09)
  end

  # JCGM 100:2008, F.1.2 (from memory): the variance of a mean of n readings with a common error is u_common^2 + u_own^2
  # / n. With next to nothing known before, that is what is left of the mean of four pads after four glances.
  it "keeps the error that four readings share" do
    pads = %w[a b c d]
    bank = described_class.new(pads, [[0.0]] * 11, ([[0.0]] * 7) + ([[1e4]] * 4), [0.0], [kind])
    bank.disturb(described_class::BIAS, 0.9**2)
    pads.each { |pad| bank.observe(pad, WearBuilders::Thickness.point(5.5, 0.4), { share: 0.0, sd_mm: 1.0 }) }
    at = pads.map { |pad| bank.thickness(pad) }
    expect(at.product(at).sum { |one, other| bank.covariance[one, other, 0] } / 16).to be_within(0.01).of(
      (0.9**2) + ((0.4**2) / 4)
    )
    expect(at.map { |one| bank.covariance[one, one, 0] }).to all(be_within(0.01).of((0.9**2) + (0.4**2)))
    bank.join(at, 4.0)
    expect(bank.covariance[at[0], at[1], 0] + bank.covariance[at[0], at[0], 0]).to be_within(0.02).of(
      8.0 + (2 * (0.9**2)) + (0.4**2)
    )
  end

  it "doubts a reading the more the further off it is, and branches without losing weight" do
    chances =
      [10.8, 13.0].map do |mm|
        single.observe("a", WearBuilders::Thickness.point(mm, 0.2), { share: 0.02, sd_mm: 1.5 })[0]
      end
    expect(chances).to match([be < 0.05, be > 0.9])
    bank = single
    expect(bank.branch([Math.log(0.7), Math.log(0.3)], 10).to_a).to eq([0, 1])
    expect(bank.weights.to_a).to match([be_within(1e-9).of(0.7), be_within(1e-9).of(0.3)])
    bank.prune(1)
    expect(bank.weights.to_a).to eq([1.0])
  end

  # Bayes' rule summed over a fine grid, with the error function of Ruby's own Math: thickness 11 +/- 0.15 before; a
  # leaf between two bounds, each blurred. Below, above and across what was expected.
  [[10.7, 10.95, 0.0], [11.05, 11.3, 0.0], [10.9, 11.4, 0.1], [10.4, 10.8, 0.25]].each do |lower, upper, edge|
    it "takes in a gauge between #{lower} and #{upper} mm, blurred by #{edge}, as a sum over all thicknesses does" do
      normal = ->(z) { 0.5 * Math.erfc(-z / Math.sqrt(2)) }
      likely =
        lambda do |mm|
          if edge.zero?
            (mm.between?(lower, upper) ? 1.0 : 0.0)
          else
            normal.call((upper - mm) / edge) - normal.call((lower - mm) / edge)
          end
        end
      grid = (0...60_000).map { |at| 9.5 + ((at + 0.5) * 5e-5) }
      mass = grid.map { |mm| Graver::Core::Wear::Normal.density(mm, 11.0, 0.15) * likely.call(mm) * 5e-5 }
      mean = grid.zip(mass).sum { |mm, part| mm * part } / mass.sum
      variance = grid.zip(mass).sum { |mm, part| ((mm - mean)**2) * part } / mass.sum
      bank = single
      bank.observe("a", WearBuilders::Thickness.interval(lower, upper, edge_mm: edge), { share: 0.0, sd_mm: 1.0 })
      expect([Math.exp(bank.log_weight[0]), *thickness(bank)]).to match(
        [be_within(1e-4).of(mass.sum), be_within(1e-4).of(mean), be_within(1e-4).of(variance)]
      )
    end
  end

  # By hand: 0.3 of what is known is kept, the rest falls back to the mean of its kind; covariances shrink alike.
  it "falls back towards the prior when a part is renewed" do
    bank = single(log_sd: 0.3)
    bank.wear(10_000.0, 0.0, 0.5)
    before = bank.covariance[0, 4, 0]
    bank.recall(4, 0.3, 0.01, mean: 5.0)
    expect(bank.mean[4, 0]).to be_within(1e-9).of((0.3 * (11 - (1.5 * Math.exp(0.045)))) + (0.7 * 5.0))
    expect(bank.covariance[0, 4, 0]).to be_within(1e-12).of(0.3 * before)
  end
end
