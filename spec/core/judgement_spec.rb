# frozen_string_literal: true

RSpec.describe "Judging" do
  describe Graver::Core::Judgement::RotorVerdict do
    let(:long) { Graver::Core::Wear::Life.new([0.0, 100_000.0, 200_000.0], [0.0, 0.0, 1.0]) }

    def verdict(mean_mm, sd_mm: 0.03, discard_mm: 20.4, life: long, next_pads_km: 60_000)
      thickness = mean_mm && { mean_mm:, sd_mm: }
      described_class.call(
        thickness:,
        discard_mm:,
        life:,
        next_pads_km:,
        rules: {
          coverage: 2,
          outlast_chance: 0.25
        }
      ).outcome
    end

    # common practice, no source: discard 20.4 mm, 21.9 passes, 20.45 passes by a hair and must be measured again; a
    # reading
    # on the limit counts as out
    it "decides at, just inside and just outside the limit" do
      expect([21.9, 20.461, 20.459, 20.45, 20.401, 20.4, 20.3].map { |mm| verdict(mm) }).to eq(
        %w[stay stay measure_again measure_again measure_again replace replace]
      )
    end

    it "gives no verdict without a limit or a reading" do
      expect(verdict(21.9, discard_mm: nil)).to eq("unknown_limit")
      expect(verdict(nil)).to eq("unmeasured")
    end

    it "asks whether the rotor outlasts the next pads" do
      expect(verdict(20.9, next_pads_km: 124_000)).to eq("stay")
      expect(verdict(20.9, next_pads_km: 126_000)).to eq("will_not_outlast")
    end
  end

  describe "the rule table of states" do
    subject(:engine) { KNOWLEDGE.state_engine }

    def severity(measures) = engine.call({ "careful_days" => 400.0, "pad_readings" => 4 }.merge(measures)).severity

    # Floor: 1.6 mm, 49 CFR 393.47 (from memory), and 1.5 mm, UK inspection manual 1.1.13 (from memory); the rest are
    # stated choices of the project, so each is tried at and just beside its threshold.
    it "turns at its thresholds" do
      expect(KNOWLEDGE.pad_limit("own-stop").mm).to eq(1.5)
      expect(KNOWLEDGE.pad_limit("law-uk").mm).to eq(1.5)
      expect([0.5, 0.49].map { |chance| severity("pad_below_floor_chance" => chance) }).to eq(%w[stop good])
      expect([0.9, 0.89, 0.1, 0.09].map { |chance| severity("rotor_below_discard_chance" => chance) }).to eq(
        %w[stop plan plan good]
      )
      expect([0.2, 0.19].map { |chance| severity("pad_due_chance" => chance) }).to eq(%w[plan good])
      expect([60, 61].map { |days| severity("careful_days" => days) }).to eq(%w[plan good])
      expect([90, 91].map { |days| severity("look_again_days" => days) }).to eq(%w[watch good])
      expect([0, -1].map { |days| severity("look_overdue_days" => days) }).to eq(%w[watch good])
      expect(severity("pad_readings" => 0)).to eq("watch")
    end
  end
end
