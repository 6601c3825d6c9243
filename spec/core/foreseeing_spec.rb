# frozen_string_literal: true

RSpec.describe Graver::Core::Wear::Hypotheses::Foreseeing do
  include WearBuilders

  let(:hypotheses) do
    Graver::Core::Wear::Hypotheses.new(
      ["a"],
      [Math.log(0.15e-3), 0.0, 0.0, 0.0, 11.0].zip,
      [0.2**2, 0.0, 0.0, 0.0, 0.15**2].zip,
      [0.0],
      [
        Graver::Core::Wear::Hypotheses::Kind.new(
          drift_sd: 1e-6,
          drift_km: 20_000.0,
          error: 1.0,
          history_hash: 0.0,
          off: 0.0
        )
      ]
    )
  end
  let(:changes) do
    how = { per_life: 1.0, log_mean: 0.5, log_sd: 0.3 }
    prior =
      KNOWLEDGE.prior("pad").with(
        axle_changes: [how],
        seizures: [],
        spells: [],
        quiet: {
          share: 0.0,
          times: 1.0,
          pin_times: 1.0
        }
      )
    Graver::Core::Wear::ChangeTable.new(prior, ["a"], ["a"], [0.5])
  end

  def lookahead_score(observation)
    hypotheses.lookahead_score(changes, 10_000.0, [["a", observation]], 0.035)[true, 0].to_a
  end

  # By hand: worn is lognormal (closed form), a reading adds its own variance; the constant of the density is left out.
  def by_hand(read_mm, sd_mm, factor, log_variance)
    worn = 1.5 * Math.exp(0.02) * factor
    variance = (0.15**2) + (worn * worn * (Math.exp(log_variance) - 1)) + (worn * 0.035) + (sd_mm**2)
    -0.5 * ((((11 - worn - read_mm)**2) / variance) + Math.log(variance)) * described_class::HEEDED
  end

  it "scores how well each case explains a reading" do
    changed = 0.5 + (0.5 * Math.exp(0.5 + 0.045))
    expect(lookahead_score(read(10_000, 9.0, 0.2))).to match(
      [
        be_within(1e-6).of(by_hand(9.0, 0.2, 1.0, 0.04)),
        be_within(1e-6).of(by_hand(9.0, 0.2, changed, 0.04 + (0.5 * 0.09)))
      ]
    )
  end

  it "scores a gauge by its interval and limits the weight of any reading" do
    inside, outside, absurd =
      [between(10_000, 9.0, 10.0), between(10_000, 3.0, 4.0), between(10_000, 1.0, 2.0)].map do |one|
        lookahead_score(one)[0]
      end
    expect(inside - outside).to be_within(1e-6).of(0.5 * (described_class::LOUDEST**2) * described_class::HEEDED)
    expect(absurd).to eq(outside)
  end

  it "changes which branches are kept, not their weights" do
    kept = hypotheses.branch([Math.log(0.9), Math.log(0.1)], 1, lookahead_score: Numo::DFloat[[-10.0], [0.0]])
    expect(kept.to_a).to eq([1])
    expect(hypotheses.log_weight.to_a).to eq([Math.log(0.1)])
  end

  # fact of the trade: a pin that seizes doubles the wear of one pad; common practice, no source. With room for a few
  # hypotheses only, the one the readings speak for must be among them.
  it "keeps a seized pin among few hypotheses" do
    stub_const("Graver::Core::Wear::AxleFilter::BRANCHED", 20)
    stub_const("Graver::Core::Wear::AxleFilter::KEPT", 10)
    even = [10_000, 20_000, 30_000, 40_000].map { |km| read(km, 11.0 - (km * 0.12e-3)) }
    seized = [read(10_000, 9.8), read(20_000, 8.6), read(30_000, 6.0), read(40_000, 3.4)]
    set = {
      "left_inner" => fitted(*seized),
      "left_outer" => fitted(*even),
      "right_inner" => fitted(*even),
      "right_outer" => fitted(*even)
    }
    expect(forecast(set, as_of_km: 40_000, limit_mm: 2.0).changed["left_inner"][:chance]).to be > 0.8
  end
end
