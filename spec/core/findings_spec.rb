# frozen_string_literal: true

RSpec.describe "Findings" do
  judgement = Graver::Core::Judgement
  thickness = Graver::Core::Measurement::Thickness

  # Every rule at, just inside and just outside its threshold. Sources: floors from 49 CFR 393.47 and the UK inspection
  # manual 1.1.13 (from memory) by way of the chance of being under them; 3 % of water, the millimetre of unevenness,
  # clicks, and MIN: common practice, no source; the chances and shares: stated choices of the project.
  describe "the table of rules" do
    table = {
      "pads-due" => [["pad_due_chance", 0.2, :least]],
      "pads-maybe-due" => [["pad_due_chance", 0.1, :least]],
      "pads-due-soon" => [["careful_days", 60, :most]],
      "stood-long" => [["stood_days", 180, :least]],
      "stood-weeks" => [["stood_days", 42, :least]],
      "odometer-silent" => [["silent_days", 183, :least]],
      "pad-metal" => [["metal", 1, :least]],
      "pad-below-law" => [["below_floor_chance", 0.5, :least]],
      "pad-below-maker" => [["below_maker_chance", 0.5, :least]],
      "pad-below-limit" => [["below_limit_chance", 0.5, :least]],
      "pad-maybe-below" => [["below_limit_chance", 0.1, :least]],
      "inner-thin" => [["inner_thinner_mm", 1.0, :least], ["opposed", 0, :most]],
      "outer-thin" => [["outer_thinner_mm", 1.0, :least], ["opposed", 0, :most]],
      "sides-of-fixed" => [["thinner_mm", 1.0, :least], ["opposed", 1, :least]],
      "inner-sped-up" => [["sped_inner_chance", 0.6, :least], ["opposed", 0, :most]],
      "outer-sped-up" => [["sped_outer_chance", 0.6, :least], ["opposed", 0, :most]],
      "fixed-sped-up" => [["sped_chance", 0.6, :least], ["opposed", 1, :least]],
      "corner-thin" => [["corner_thinner_mm", 1.0, :least]],
      "trailing-thin" => [["trailing_thinner_mm", 0.7, :least], ["servo", 0, :most]],
      "primary-thin" => [["leading_thinner_mm", 0.7, :least], ["servo", 1, :least]],
      "leading-thin" => [["leading_ratio", 2.0, :least], ["leading_thinner_mm", 0.7, :least], ["servo", 0, :most]],
      "shoe-sped-up" => [["sped_chance", 0.6, :least], ["drum", 1, :least]],
      "drum-side" => [["shoes_thinner_mm", 0.7, :least]],
      "drum-oval" => [["oval_ratio", 1.0, :least]],
      "drum-pair" => [["drums_apart_ratio", 1.0, :least]],
      "taper" => [["taper_mm", 1.0, :least]],
      "one-face" => [["faces_apart", 1, :least]],
      "rotor-metal" => [["metal_ran", 1, :least]],
      "shoe-below" => [["shoe_spare_mm", 0, :most]],
      "rotor-variation" => [["variation_ratio", 1.0, :least]],
      "rotor-runout" => [["runout_ratio", 1.0, :least]],
      "rotor-runout-first" => [["runout_first_ratio", 1.0, :least]],
      "piston-beyond" => [["extension_share", 1.0, :least]],
      "piston-far" => [["extension_share", 0.85, :least]],
      "fluid-below-min" => [["fluid_level", -0.05, :most]],
      "fluid-at-min" => [["fluid_level", 0.05, :most]],
      "fluid-unexplained" => [["fluid_unexplained", 0.2, :least], ["fluid_unexplained_sure", 1, :least]],
      "fluid-wet" => [["fluid_moisture", 3.0, :least]],
      "fluid-old" => [["fluid_months_over", 0, :least]],
      "handbrake-far" => [["clicks_over", 1, :least]]
    }

    it "covers every rule" do
      expect(KNOWLEDGE.findings["rules"].map { |rule| rule["id"] }).to match_array(table.keys)
    end

    table.each do |id, thresholds|
      it "triggers #{id} at its thresholds and never on an unknown measure" do
        rule = KNOWLEDGE.finding_engine.rules.find { |each| each.id == id }
        at = thresholds.to_h { |measure, value, _| [measure, value] }
        expect(rule.holds?(at)).to be(true)
        thresholds.each do |measure, value, side|
          beyond, short = side == :least ? [value + 1e-6, value - 1e-6] : [value - 1e-6, value + 1e-6]
          expect(
            [
              rule.holds?(at.merge(measure => beyond)),
              rule.holds?(at.merge(measure => short)),
              rule.holds?(at.merge(measure => nil))
            ]
          ).to eq([true, false, false])
        end
      end
    end

    it "counts the first of a group and sorts the worst first" do
      place = ->(scope, measures) { judgement::Place.new(scope:, axle_id: 1, side: nil, pad: nil, measures:) }
      found =
        KNOWLEDGE.finding_engine.call(
          [
            place["corner", { "corner_thinner_mm" => 2.0 }],
            place["position", { "below_floor_chance" => 0.9, "below_limit_chance" => 1.0, "taper_mm" => 1.2 }]
          ]
        )
      expect(found.map { |each| each.rule.id }).to eq(%w[pad-below-law corner-thin taper])
    end
  end

  describe judgement::Unevenness do
    read = ->(mm, sd = 0.15) { thickness.point(mm, sd) }

    # By hand: sqrt(2) x 0.15 x 2 = 0.424 mm is what two caliper readings may differ by.
    it "reports a difference only beyond the readings' errors" do
      told =
        lambda do |inner, outer, sd|
          described_class.call(
            { "left" => { "inner" => read[inner, sd], "outer" => read[outer, sd] } },
            coverage: 2
          ).fetch("left")
        end
      expect(told[5.0, 5.42, 0.15]).to include(
        "inner_thinner_mm" => nil,
        "thinner_mm" => nil,
        "uneven_error_mm" => be_within(1e-3).of(0.424)
      )
      expect(told[5.0, 5.43, 0.15]["inner_thinner_mm"]).to be_within(1e-9).of(0.43)
      expect(told[6.0, 5.0, 0.15]).to include("outer_thinner_mm" => be_within(1e-9).of(1.0), "inner_thinner_mm" => nil)
      # by eye (1 mm) two millimetres are nothing
      expect(told[3.0, 5.0, 1.0]["inner_thinner_mm"]).to be_nil
    end

    it "compares corners by their means" do
      pads = {
        "left" => {
          "inner" => read[4.0],
          "outer" => read[5.0]
        },
        "right" => {
          "inner" => read[6.0],
          "outer" => read[7.0]
        }
      }
      sides = described_class.call(pads, coverage: 2)
      expect(sides["left"]).to include("corner_thinner_mm" => 2.0, "corner_error_mm" => be_within(1e-9).of(0.3))
      expect(sides["right"]["corner_thinner_mm"]).to be_nil
    end
  end

  it "ranks causes by evidence, and the caliper first when the pattern recurs" do
    rank = ->(*seen) { judgement::Causes.rank(KNOWLEDGE.causes("inner_thin"), seen) }
    # common practice, no source: pins first; with free pins the pad in its bracket; when it keeps coming back, the
    # caliper
    expect(rank[].first.id).to eq("pins_stuck")
    expect(rank["slide_pins.seized"].first).to have_attributes(
      id: "pins_stuck",
      seen: ["slide_pins.seized"],
      share: be > 0.8
    )
    expect(rank["slide_pins.free", "pad.wedged"].first.id).to eq("pads_rusted_in")
    expect(rank["slide_pins.free", "piston.free", "recurs"].first.id).to eq("caliper")
    expect(rank["slide_pins.stiff"].sum(&:share)).to be_within(1e-9).of(1)
  end

  # Geometry: floating, one side takes up everything; fixed, each side its half. By hand: pads 11 -> 3 twice, rotor 25
  # -> 23.
  it "calculates piston extension from worn pads and rotor" do
    worn = { pads_gone_mm: 16.0, rotor_gone_mm: 2.0, pads_allowed_mm: 18.0, rotor_allowed_mm: 2.0 }
    expect(judgement::PistonExtension.of(**worn, opposed: false)).to have_attributes(
      now_mm: 18.0,
      most_mm: 20.0,
      share: 0.9
    )
    expect(judgement::PistonExtension.of(**worn, opposed: true)).to have_attributes(
      now_mm: 9.0,
      most_mm: 10.0,
      share: 0.9
    )
    expect(judgement::PistonExtension.of(pads_gone_mm: 1.0, rotor_gone_mm: 0.0, opposed: false).share).to be_nil
  end

  # By hand: one 57 mm piston a side, both pads 4 mm down: 2 x pi x 28.5^2 x 8 / 1000 = 40.8 ml of a 100 ml reservoir.
  it "explains a falling level by wear and suspects a leak beyond it" do
    fall =
      lambda do |now|
        judgement::FluidBalance.of(
          before: 0.9,
          now:,
          explained: 0.408,
          explained_error: 0.08,
          level_error: 0.06,
          coverage: 2
        )
      end
    expect(fall[0.5]).to have_attributes(
      explained: be_within(1e-9).of(0.408),
      unexplained: be_within(1e-9).of(-0.008),
      sure: false
    )
    # 2 x sqrt(2 x 0.06^2 + 0.08^2) = 0.233: a fall of 0.64 is just not sure, one of 0.65 is
    expect([fall[0.26], fall[0.25]].map(&:sure)).to eq([false, true])
    expect(fall[0.1]).to have_attributes(sure: true, fall: be_within(1e-9).of(0.8))
  end

  describe judgement::RotorPlan do
    def verdict(mm, error_mm: 0.03, discard_mm: 20.4, chance: 0.05)
      Graver::Core::Judgement::RotorVerdict.call(
        thickness: {
          mean_mm: mm,
          sd_mm: error_mm / 2
        },
        discard_mm:,
        life: nil,
        next_pads_km: nil,
        rules: {
          coverage: 2,
          outlast_chance: 0.25
        }
      ).with(chance:)
    end

    def judged(*mm, leaves: nil, approach: "reuse", machine_to_mm: 20.9, discard_mm: 20.4, wear_mm: 0.3)
      described_class.call(
        verdicts: mm.map { |each| each.is_a?(Numeric) ? verdict(each, discard_mm:) : each },
        leaves:,
        approach:,
        machine_to_mm:,
        discard_mm:,
        wear_mm:,
        cut_mm: 0.4,
        order: KNOWLEDGE.rotor_rules["order"]
      )
    end

    def plan(...) = judged(...).outcome

    # common practice, no source: discard 20.4 mm: 21.9 passes, 20.45 is measured again (here ± 0.06), 20.40 counts as
    # out
    it "gives both rotors the same verdict, by thickness, faces and approach" do
      expect([plan(21.9, 21.9), plan(21.9, 20.42), plan(21.9, 20.4)]).to eq(%w[stay measure_again replace])
      expect(
        [
          plan(21.9),
          plan(21.9, leaves: "cut"),
          plan(21.3, leaves: "cut"),
          plan(21.9, leaves: "replace"),
          plan(21.9, leaves: "cut", machine_to_mm: nil, wear_mm: nil)
        ]
      ).to eq(%w[stay turn replace replace face_bad])
      # the thinner of two decides what can be cut: 21.3 - 0.03 - 0.4 is under 20.9
      expect(judged(21.9, 21.3, leaves: "cut")).to have_attributes(
        outcome: "replace",
        cut_left_mm: be_within(1e-9).of(-0.03)
      )
      # pulsation without readings all round: nothing is said before that, but a rotor that is out stays out
      expect(
        [plan(21.9, leaves: "measure"), plan(20.4, leaves: "measure"), plan(21.9, leaves: "measure", discard_mm: nil)]
      ).to eq(%w[measure_again replace unknown_limit])
      # nor does pulsation let a rotor stay that will not outlast the next pads
      expect(judged(verdict(20.9).with(outcome: "will_not_outlast"), leaves: "measure").outcome).to eq("measure_again")
      # no new pads are due: no approach asks for rotors
      expect(plan(21.9, approach: nil)).to eq("stay")
      expect(
        [
          plan(21.9, approach: "new"),
          plan(21.9, approach: "turn"),
          plan(21.3, approach: "turn"),
          plan(20.42, approach: "new")
        ]
      ).to eq(%w[new_by_approach turn stay measure_again])
    end

    # By hand: 21.9 - 0.03 - 0.4 = 21.47. A machine-to thickness of 20.9 has the wear of the next pads in it (common
    # practice, no source), so 0.57 is left; above the discard thickness of 20.4 alone the 0.3 mm of that wear come off
    # too: 0.77.
    it "returns what machining leaves, less the wear to come" do
      expect(judged(21.9).cut_left_mm).to be_within(1e-9).of(0.57)
      expect(judged(21.9, wear_mm: 5.0).cut_left_mm).to be_within(1e-9).of(0.57)
      expect(judged(21.9, machine_to_mm: nil).cut_left_mm).to be_within(1e-9).of(0.77)
      expect(judged(21.9, machine_to_mm: nil, wear_mm: nil).cut_left_mm).to be_nil
    end
  end

  it "compares a claim with the forecast and ranks the next measurements" do
    now = { "left_inner" => { mean_mm: 5.4, sd_mm: 0.3 }, "left_outer" => { mean_mm: 7.0, sd_mm: 0.3 } }
    check = ->(mm) { judgement::Claim.check(mm, now, claim_sd_mm: 0.5, doubtful: 0.2, contradicts: 0.02).verdict }
    expect([5.5, 5.0, 4.8, 2.0].map(&check)).to eq(%w[fits fits doubtful contradicts])
  end
end
