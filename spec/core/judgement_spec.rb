# frozen_string_literal: true

RSpec.describe "Judging" do
  describe Graver::Core::Judgement::RotorVerdict do
    let(:long) { Graver::Core::Wear::RemainingLife.new([0.0, 100_000.0, 200_000.0], [0.0, 0.0, 1.0]) }

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
    # reading on the limit counts as out
    it "decides at, just inside and just outside the limit" do
      expect([21.9, 20.461, 20.459, 20.45, 20.401, 20.4, 20.3].map { |mm| verdict(mm) }).to eq(
        %w[stay stay measure_again measure_again measure_again replace replace]
      )
    end

    # common practice, no source: an eye, or an estimate, condemns no rotor
    it "asks for a reading where an eye or an estimate condemns" do
      call =
        lambda do |thickness, believed|
          described_class.call(
            thickness:,
            believed:,
            discard_mm: 20.4,
            life: nil,
            next_pads_km: nil,
            rules: {
              coverage: 2,
              outlast_chance: 0.25
            }
          )
        end
      eye = call[{ mean_mm: 20.0, sd_mm: 1.0, rough: true }, nil]
      expect(eye).to have_attributes(outcome: "measure_again", because: "eye", reading_mm: 20.0)
      old = call[{ mean_mm: 20.9, sd_mm: 0.03 }, { mean_mm: 20.3, sd_mm: 0.1 }]
      expect(old).to have_attributes(outcome: "measure_again", because: "estimate", reading_mm: 20.9, now_mm: 20.3)
      # within its own error what was read stands as it was read
      near = call[{ mean_mm: 20.7, sd_mm: 0.03 }, { mean_mm: 20.65, sd_mm: 0.1 }]
      expect(near).to have_attributes(outcome: "stay", now_mm: 20.7, safe_mm: be_within(1e-9).of(20.64))
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

    def severity(measures)
      engine.call({ "careful_days" => 400.0, "least_km" => 9000.0, "pad_readings" => 4 }.merge(measures)).severity
    end

    # Floor: 1.6 mm, 49 CFR 393.47 (from memory), and 1.5 mm, UK inspection manual 1.1.13 (from memory); the rest are
    # stated choices of the project, so each is tried at and just beside its threshold.
    it "triggers at its thresholds" do
      expect(KNOWLEDGE.pad_limit("own-stop").mm).to eq(1.5)
      expect(KNOWLEDGE.pad_limit("law-uk").mm).to eq(1.5)
      expect([0.5, 0.49].map { |chance| severity("pad_below_floor_chance" => chance) }).to eq(%w[stop good])
      # read is read: a pad or a rotor out by its own reading stops, and so does a doubtful one
      %w[read_floor_mm doubted_floor_mm rotor_out_mm].each { |out| expect(severity(out => 0.0)).to eq("stop") }
      expect(severity("read_limit_mm" => 2.9)).to eq("plan")
      expect([0.5, 0.49].map { |chance| severity("likely_due_chance" => chance) }).to eq(%w[plan good])
      expect(%w[rotors_unmeasured rotors_no_limit].map { |one| severity(one => 1) }).to eq(%w[watch watch])
      # what is only expected of a rotor asks for a reading
      expect([0.9, 0.1, 0.09].map { |chance| severity("rotor_below_discard_chance" => chance) }).to eq(
        %w[plan plan good]
      )
      expect([0.2, 0.1, 0.09].map { |chance| severity("pad_due_chance" => chance) }).to eq(%w[plan plan good])
      expect([60, 61].map { |days| severity("careful_days" => days) }).to eq(%w[plan good])
      expect([0, 150, 151].map { |days| severity("inspect_wear_days" => days) }).to eq(%w[watch watch good])
      expect([90, 91].map { |days| severity("inspect_time_days" => days) }).to eq(%w[watch good])
      expect([0, -1].map { |days| severity("inspection_overdue_days" => days) }).to eq(%w[watch good])
      expect(severity("pad_readings" => 0)).to eq("watch")
    end
  end
end
