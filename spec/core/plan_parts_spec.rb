# frozen_string_literal: true

require "prop_check"
require_relative "../support/plan_builders"

RSpec.describe "What a job takes" do
  include PlanBuilders

  # common practice, no source: furthest from the master cylinder first; on diagonal circuits one circuit after the
  # other
  it "starts bleeding at the wheel furthest from the master cylinder" do
    corners =
      %w[front rear]
        .product(%w[left right])
        .map { |axle, side| PlanBuilders::P::Corner.new(axle:, side:, configuration: {}) }
    order =
      lambda do |**how|
        PlanBuilders::P::BleedOrder.call(corners, **how).map { |corner| "#{corner.axle} #{corner.side}" }
      end
    expect(order[order: "furthest"]).to eq(["rear right", "rear left", "front right", "front left"])
    expect(order[order: "furthest", near: "right"]).to eq(["rear left", "rear right", "front left", "front right"])
    expect(order[order: "nearest"]).to eq(order[order: "furthest"].reverse)
    expect(order[order: "diagonal"]).to eq(["rear right", "front left", "rear left", "front right"])
    expect(PlanBuilders::P::BleedOrder.chosen(nil, "diagonal")).to eq("diagonal")
    expect(PlanBuilders::P::BleedOrder.chosen("nearest", "diagonal")).to eq("nearest")
  end

  describe Graver::Core::Planning::FluidPlan do
    subject(:plan) do
      described_class.new(
        { flush_ml: 250, opened_ml: 100, top_up_ml: 250, bottles: [250, 500, 1000], headroom_share: 0.9 }
      )
    end

    it "returns what to draw off, or that it is unknown" do
      expect(plan.call(pushed: 68.0, headroom: 45.0, pushes: true, flushed: 0, opened: 0)).to have_attributes(
        draw_off: 30,
        needed: 250,
        bottles: [250]
      )
      expect(plan.call(pushed: 30.0, headroom: 45.0, pushes: true, flushed: 0, opened: 0).draw_off).to eq(0)
      expect(plan.call(pushed: nil, headroom: 45.0, pushes: true, flushed: 0, opened: 0).draw_off).to be_nil
      expect(plan.call(pushed: nil, headroom: nil, pushes: false, flushed: 4, opened: 2)).to have_attributes(
        draw_off: 0,
        needed: 1200,
        bottles: [1000, 250]
      )
    end

    it "buys enough in as few bottles as possible" do
      PropCheck.forall(PropCheck::Generators.choose(1..4000)) do |needed|
        bottles = plan.bottles(needed)
        expect(bottles.sum).to be >= needed
        expect(bottles.length).to eq((needed / 1000.0).ceil)
      end
    end
  end

  describe Graver::Core::Planning::Hours do
    subject(:hours) { described_class.new(KNOWLEDGE.hours) }

    # common practice, no source: 15 to 30 minutes a side for pads when nothing is stuck, about 2 h for all four wheels
    it "agrees with what people report for pads" do
      one = hours.usual(lifts(setup("front", ["pads"])))
      four = hours.usual(lifts(setup("front", ["pads"]), setup("rear", ["pads"])))
      expect(one.map { |hour| (hour * 60).round }).to eq([50, 95])
      expect(four).to match([be < 2.0, be > 2.0])
    end

    it "uses the owner's own pace, more surely with more jobs" do
      lifted = lifts(setup("front", ["pads"]))
      slow = [[3.0, 0.83, 1.58]]
      expect(hours.call(lifted, [])).to have_attributes(jobs: 0)
      once, often = hours.call(lifted, slow), hours.call(lifted, slow * 6)
      expect(Math.sqrt(once.low * once.high)).to be_within(0.05).of(3.0)
      expect(often.high / often.low).to be < once.high / once.low
    end

    it "adds time for a captive rotor and a motor" do
      plain = hours.usual(lifts(setup("rear", %w[pads rotors_new])))
      expect(hours.usual(lifts(setup("rear", %w[pads rotors_new], retentions: "captive"))).first).to be >
        plain.first + 1
      expect(hours.usual(lifts(setup("rear", %w[pads rotors_new], parking_brakes: "electric"))).last).to be_within(
        0.01
      ).of(plain.last + 0.25)
    end
  end

  # Worked by hand: 40 over 20,000 km is 2 per 1,000 km; 1 of the 2 mm a pair of rotors at 100 has in it is 50, 2.5
  # per 1,000 km.
  it "counts pads over their life, with their share of the rotors" do
    cost = Graver::Core::Planning::PadCost
    expect(cost.call(price: 40, life_km: 20_000, rotors_price: 100, rotor_wear_mm: 1.0, rotor_spare_mm: 2.0)).to eq(
      [2.0, 2.5]
    )
    expect(cost.call(price: 40, life_km: 20_000, rotors_price: 100, rotor_wear_mm: 9.0, rotor_spare_mm: 2.0)).to eq(
      [2.0, 5.0]
    )
    expect(cost.call(price: 40, life_km: 20_000)).to eq([2.0, nil])
    expect { cost.call(price: 40, life_km: 0) }.to raise_error(ArgumentError, /above 0 km, got 0/)
  end

  # Worked by hand: (100 x 1.4 + 2 x 90) x 1.2 = 384
  it "calculates a shop's bill" do
    expect(
      Graver::Core::Planning::ShopQuote.call(parts: 100, hours: 2, rate: 90, markup_percent: 40, tax_percent: 20)
    ).to be_within(1e-9).of(384)
  end

  # ISO 261 (from memory): M10 has pitches 1.5, 1.25 and 1; M12 1.75, 1.5, 1.25 and 1. Inch wheel studs: common
  # practice, no source.
  it "accepts known threads only" do
    normal =
      lambda do |text|
        Graver::Core::Planning::Thread.normal(
          text,
          YAML.safe_load_file(File.join(Graver::Knowledge::Library::FOLDER, "threads.yml"))
        )
      end
    expect(["M10 x 1.25", "10x1.25x30", "m12×1,5", "M8", "1/2-20"].map(&normal)).to eq(
      ["M10 x 1.25", "M10 x 1.25 x 30", "M12 x 1.5", "M8", "1/2-20"]
    )
    expect(["M10 x 9", "M13", "M10 x 0.5", "1/2-21", "big", "", "M10 x 1.25; drop"].map(&normal)).to all(be_nil)
  end

  it "compares a new part with the old one" do
    matches = {
      "thickness_mm" => {
        "key" => "rotor.new_thickness",
        "within" => 0.2
      },
      "diameter_mm" => {
        "key" => "rotor.diameter",
        "within" => 1.0
      }
    }
    verdicts = ->(details, known) { Graver::Core::Planning::PartMatch.call(matches, details, known).map(&:verdict) }
    expect(
      verdicts[
        { "thickness_mm" => 25.2, "diameter_mm" => 288 },
        { "rotor.new_thickness" => 25.0, "rotor.diameter" => 302 }
      ]
    ).to eq(%w[fits differs])
    expect(verdicts[{ "thickness_mm" => 25 }, { "rotor.diameter" => 302 }]).to eq(%w[unknown unknown])
  end

  it "finds a tool set with the size, a safe substitute, or names what is missing" do
    check = Graver::Core::Planning::ToolCheck.new(KNOWLEDGE.tools)
    drives = {
      "hex-13" => [["Hex head 13 mm", "Slide pin bolts"]],
      "hex-18" => [["Hex head 18 mm", "Bracket bolts"]],
      "key-7" => [["Hex key 7 mm", "Guide bolts"]]
    }
    lines =
      check
        .call(%w[press wind_back torque_wrench jack], drives, %w[clamp sockets jack hex_bits])
        .to_h { |line| [line.id, line.status] }
    expect(lines).to eq(
      "press" => "instead",
      "wind_back" => "missing",
      "jack" => "owned",
      "sockets" => "owned",
      "hex_bits_odd" => "missing"
    )
    expect(check.call([], drives, []).find { |line| line.id == "sockets" }.uses).to eq(
      ["Hex head 13 mm for the slide pin bolts", "Hex head 18 mm for the bracket bolts"]
    )
  end

  # What kits lack and what is used once: common practice, no source.
  it "lists what the work needs for both sides, sensors only where fitted" do
    list =
      lambda do |*works, **given|
        PlanBuilders::P::PartsList
          .new
          .call(KNOWLEDGE.parts, setup("front", works, **given), [])
          .to_h { |line| [line.id, line.count] }
      end
    expect(list.call("pads", "clips", "sensors", sensors: ["left"])).to eq(
      "pads" => 1,
      "clip_kit" => 1,
      "pin_boots" => 1,
      "wear_sensor" => 1
    )
    expect(list.call("pads", "rotors_new", retentions: "captive")).to include("rotor" => 2, "hub_kit" => 2)
    expect(list.call("pads", calipers: "fixed_opposed")).to eq("pads" => 1, "pad_pins" => 2)
    expect(list.call("hose")).to eq("hose" => 2, "banjo_washers" => 2)
    expect(list.call("hose", hose_fittings: "screwed")).to eq("hose" => 2)
    expect(list.call("inspect")).to be_empty
  end

  it "knows what works mean, where they apply and what can't be combined" do
    # the pistons of a new caliper are back: it spares the pushing that pads bring with them
    expect(rules.expanded(%w[caliper])).to contain_exactly("caliper", "wheels", "open", "hydraulics", "bleed")
    expect(rules.expanded(%w[pads])).to include("push")
    expect(rules.expanded(%w[pads caliper])).not_to include("push")
    fixed = setup("front", ["pads"], calipers: "fixed_opposed").configuration.merge("sensors" => false)
    expect(rules.offered(fixed).map { |work| work["id"] }).not_to include("clips", "pins", "shoes", "sensors")
    expect(rules.conflicts(%w[rotors_new rotors_turn])).to eq(["choose either new or machined rotors"])
    expect(rules.conflicts(%w[inspect pads]).first).to include("can't be combined")
    expect(rules.companions(%w[rotors_new]).first.first).to eq("pads")
    expect(
      rules.impossible(setup("rear", ["pads"], calipers: "fixed_opposed", parking_brakes: "cable").configuration)
    ).to include("has no cable")
    expect(rules.decides(%w[rotors_new])).to include("rotor.retention", "caliper.kind")
  end
end
