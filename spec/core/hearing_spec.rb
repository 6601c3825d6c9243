# frozen_string_literal: true

RSpec.describe Graver::Core::Wear::Hypotheses::Hearing do
  include WearBuilders

  # Base rate 0.15 mm per 1,000 km with a spread of 0.2; of two pads of 11 and 10 mm the second goes first.
  let(:bank) do
    Graver::Core::Wear::Hypotheses.new(
      %w[a b],
      [Math.log(0.15e-3), 0.0, 0.0, 0.0, 0.0, 11.0, 10.0].zip,
      [0.2**2, 0.0, 0.0, 0.0, 0.0, 0.15**2, 0.15**2].zip,
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

  def said(left_km: nil, thickness_mm: nil, spread: 0.4, at: 20_000)
    Graver::Core::Wear::Hearsay.new(odometer_km: at, left_km:, thickness_mm:, spread:)
  end

  # Conjugate normal update by hand of log(7 mm / rate): its derivatives are -1 by the rate and 1/7 by the thickness.
  it "uses the counter as a rough estimate of the first pad's life" do
    stub_const("#{described_class}::WRONG", 0.0)
    bank.observe_claim(said(left_km: 30_000), 3.0, %w[a b])
    variance = (0.2**2) + ((0.15 / 7)**2)
    gain = variance / (variance + (0.4**2))
    gap = Math.log(30_000) - Math.log(7.0 / 0.15e-3)
    expect(bank.mean[0, 0]).to be_within(1e-9).of(Math.log(0.15e-3) - ((0.2**2) / variance * gain * gap))
    expect(bank.mean[6, 0]).to be_within(1e-9).of(10.0 + ((0.15**2) / 7 / variance * gain * gap))
    expect(bank.mean[5, 0]).to eq(11.0)
  end

  it "takes a claim as the thinnest pad's and ignores an absurd one" do
    stub_const("#{described_class}::WRONG", 0.0)
    bank.observe_claim(said(thickness_mm: 9.8, spread: 1.0), 3.0, %w[a b])
    expect(bank.mean[6, 0]).to be_within(1e-9).of(10.0 - (0.2 * (0.15**2) / ((0.15**2) + 1.0)))
    stub_const("#{described_class}::WRONG", 0.1)
    before = bank.mean[6, 0]
    bank.observe_claim(said(thickness_mm: 1.0, spread: 1.0), 3.0, %w[a b])
    expect(before - bank.mean[6, 0]).to be < 0.05
    expect { bank.observe_claim(said(left_km: 0), 3.0, []) }.not_to change(bank, :log_weight)
  end

  # One unread set, whose life the prior leaves open, and one that was read: the same word moves the first.
  it "moves an uncertain forecast and hardly a measured one" do
    moved =
      [[], [read(10_000, 9.6), read(20_000, 8.2)]].map do |readings|
        pads = %w[left_inner left_outer].to_h { |pad| [pad, fitted(*readings)] }
        without = history(pads, as_of_km: 20_000)
        heard = without.with(said: [said(left_km: 9000)])
        middles =
          [without, heard].map do |one|
            Graver::Core::Wear::Forecast.call(one, KNOWLEDGE.prior("pad")).first.quantile(0.5)
          end
        middles.last / middles.first
      end
    expect(moved).to match([be < 0.75, be_between(0.8, 1.0)])
    expect(moved.last).to be > moved.first + 0.1
  end

  it "counts the newest claim of each kind for the present set" do
    builder = KNOWLEDGE.history_builder
    fit =
      Graver::Core::Wear::Entry.new(
        date: Date.new(2026, 1, 1),
        odometer_km: 10_000.0,
        part: "pad",
        side: nil,
        pad: nil,
        event: "fit",
        reading: nil,
        trust: 1.0,
        ref: nil
      )
    specification =
      Graver::Core::Wear::PartSpecification.new(
        part: "pad",
        components: %w[left_inner left_outer],
        new_mm: 11.0,
        limit_mm: 3.0,
        backing_mm: nil,
        backing_uncertainty_mm: nil
      )
    words = [
      said(left_km: 1, at: 10_000),
      said(left_km: 2, at: 12_000),
      said(left_km: 3, at: 15_000),
      said(thickness_mm: 4.0, at: 14_000),
      said(left_km: 5, at: 30_000)
    ]
    heard = builder.call([fit], specification, as_of_km: 20_000.0, said: words).said
    expect(heard).to contain_exactly(words[2], words[3])
    expect(
      builder.call([fit.with(part: "rotor")], specification.with(part: "rotor"), as_of_km: 20_000.0, said: words).said
    ).to eq([])
  end
end
