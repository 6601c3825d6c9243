# frozen_string_literal: true

require "prop_check"

RSpec.describe "What may become of an axle" do
  include WearBuilders

  let(:prior) { KNOWLEDGE.prior("pad") }
  let(:calm) { WearBuilders.without_surprises(prior) }

  describe Graver::Core::Wear::LifeSimulation do
    # Of a part that has worn a life's worth, a change has come with a chance of 1 - exp(-rate), by hand; the steps are
    # coarse, and what changes on the last one counts.
    let(:result) do
      forecast(
        { "left_inner" => fitted(read(20_000, 7.0)), "left_outer" => fitted(read(20_000, 7.2)) },
        as_of_km: 20_000
      )
    end

    it "draws future changes as often as the axle's own log suggests" do
      start =
        lambda do |quiet|
          zeros = Numo::DFloat.zeros(described_class::COUNT)
          described_class::Start.new(
            components: ["left_inner"],
            lasting: Numo::DFloat.zeros(1, described_class::COUNT) + Math.log(0.1e-3),
            thickness_mm: Numo::DFloat.zeros(1, described_class::COUNT) + 11.0,
            drift: zeros,
            drift_sd: zeros,
            drift_km: zeros + 1e4,
            quiet: zeros + quiet,
            trend: zeros
          )
        end
      faster = { per_life: 1.0, log_mean: 2.0, log_sd: 0.01 }
      one = calm.with(axle_changes: [faster], quiet: { share: 0.5, times: 0.1, pin_times: 0.7 }, increment_mm: 1e-9)
      met =
        [0.0, 1.0, 0.5].map do |quiet|
          lives = described_class.new(start[quiet], one, 3.0).lives_km
          lives.lt(79_000).count.fdiv(described_class::COUNT)
        end
      often, rarely = [1.0, 0.1].map { |rate| 1 - Math.exp(-rate) }
      expected = [often, rarely, (often + rarely) / 2]
      expect(met).to match(expected.map { |chance| be_within(0.08).of(chance) })
    end

    # One life is 8 mm; what has come by then has with a chance of 1 - exp(-rate), by hand. Wear e times as fast
    # counts e times as fast towards what is still to come.
    describe "of one pad and the opposite one" do
      let(:many) { described_class::COUNT }
      let(:quiet) { 0.0 }

      def lives(components, prior)
        zeros = Numo::DFloat.zeros(many)
        rows = Numo::DFloat.zeros(components.length, many)
        start =
          described_class::Start.new(
            components:,
            lasting: rows + Math.log(0.1e-3),
            thickness_mm: rows + 11.0,
            drift: zeros,
            drift_sd: zeros,
            drift_km: zeros + 1e4,
            quiet: zeros + quiet,
            trend: zeros
          )
        described_class.new(start, prior, 3.0).lives_km
      end
      def seizing(**how)
        calm.with(
          increment_mm: 1e-9,
          quiet: {
            share: 0.0,
            times: 0.1,
            pin_times: 0.5
          },
          seizures: [{ per_life: 1.0, log_mean: 2.0, log_sd: 0.01, mate_log_mean: 0.0, mate_log_sd: 0.01, **how }],
          seizure_weights: {
            "left_inner" => 1.0,
            "left_outer" => 0.0
          }
        )
      end

      it "slows the pad opposite a seized one" do
        inner, outer = lives(%w[left_inner left_outer], seizing(per_life: 100.0, mate_log_mean: -1.0)).to_a
        expect(inner.sum / many).to be_within(2500).of(80_000 * Math.exp(-2))
        expect(outer.sum / many).to be_within(10_000).of(80_000 * Math.exp(1))
      end

      it "seizes sooner where wear is faster" do
        seized = ->(prior, km) { lives(["left_inner"], prior).lt(km).count.fdiv(many) }
        expect(seized[seizing, 79_000]).to be_within(0.08).of(1 - Math.exp(-1))
        faster = seizing.with(axle_changes: [{ per_life: 100.0, log_mean: 1.0, log_sd: 0.001 }])
        expect(seized[faster, 29_000]).to be_within(0.1).of(1 - Math.exp(-1))
      end

      context "when quiet" do
        let(:quiet) { 1.0 }

        it "seizes half as often" do
          seized = lives(["left_inner"], seizing).lt(79_000).count.fdiv(many)
          expect(seized).to be_within(0.08).of(1 - Math.exp(-0.5))
        end
      end
    end

    it "is the earliest component's, and later with a lower limit or rate" do
      futures = result.futures
      expect((futures.first_km - futures.lives_km.min(axis: 0)).abs.max).to eq(0.0)
      expect(futures.supposing(limit_mm: 2.0).first_km.median).to be > futures.first_km.median
      # half the rate doubles the life where drift and changes are as they were
      slower = futures.supposing(factor: 0.5)
      expect(slower.first_km.median / futures.first_km.median).to be_within(0.2).of(2.0)
    end

    # Ornstein-Uhlenbeck process (closed form): over d km, L its length, the mean of exp(drift) varies by about
    # 2 s^2 (L / d)(1 - (L / d)(1 - exp(-d / L))) where s is small; nothing else is unsure here but how it is driven.
    it "spreads lives by how future driving may differ" do
      many = described_class::COUNT
      spread =
        lambda do |length_km, sd|
          start =
            described_class::Start.new(
              components: ["left_inner"],
              lasting: Numo::DFloat.zeros(1, many) + Math.log(0.1e-3),
              thickness_mm: Numo::DFloat.zeros(1, many) + 8.0,
              drift: described_class.normals[0, true] * sd,
              drift_sd: Numo::DFloat.zeros(many) + sd,
              drift_km: Numo::DFloat.zeros(many) + length_km,
              quiet: Numo::DFloat.zeros(many),
              trend: Numo::DFloat.zeros(many)
            )
          Numo::DFloat::Math.log(described_class.new(start, calm, 3.0).lives_km).stddev
        end
      expected =
        lambda do |length_km|
          share = length_km / 50_000.0
          Math.sqrt(2 * (0.1**2) * share * (1 - (share * (1 - Math.exp(-1 / share)))))
        end
      own = spread[1e9, 0.0]
      [10_000.0, 50_000.0, 200_000.0, 1e9].each do |length_km|
        drift = Math.sqrt((spread[length_km, 0.1]**2) - (own**2))
        expect(drift).to be_within(0.06 * expected[length_km]).of(expected[length_km])
      end
    end

    it "returns since when a limit is passed" do
      # 11 to 2 mm in 40,000 km: 1 mm under the limit, at 0.225 mm in 1,000 km, is some 4,400 km
      expect(
        forecast({ "left_inner" => fitted(read(40_000, 2.0)) }, as_of_km: 40_000).futures.passed_since_km
      ).to be_within(600).of(4400)
      expect(result.futures.passed_since_km).to be_nil
    end

    it "falls from now on and reaches nearly zero where the curve ends, whatever was read" do
      pairs =
        PropCheck::Generators.tuple(PropCheck::Generators.choose(500..15_000), PropCheck::Generators.choose(20..110))
      PropCheck
        .forall(PropCheck::Generators.array(pairs, min: 1, max: 4))
        .with_config(n_runs: 30)
        .check do |steps|
          at = 0.0
          readings = steps.map { |distance, tenths| read(at += distance, tenths / 10.0) }
          life = forecast({ "left_inner" => fitted(*readings) }, as_of_km: at).first
          expect(life.passed).to eq(life.passed.sort)
          expect(life.passed.last).to eq(1.0)
        end
    end
  end
end
