# frozen_string_literal: true

require_relative "../support/planned_job"

# Jobs that only look, what a look leads to, and fluid, with figures made up: common practice, no source.
RSpec.describe "Jobs after an inspection, and their fluid" do
  include PlannedJob

  let(:floating) { { "caliper.kind": "floating_slide_pins", "wheel_nut.torque": %w[120 N·m], "wheel_nut.count": "5" } }

  it "inspects a newly bought car with rotors off: nothing to buy, shoes, drum and cast limit asked" do
    rear =
      axle(
        :rear,
        {
          **floating,
          "rotor.retention": "nothing",
          "parking_brake.kind": "drum_in_hat",
          "slide_pin_bolt.torque": %w[30 N·m],
          "bracket_bolt.torque": %w[100 N·m]
        }
      )
    plan = planned(rear, "inspect_rotor")
    expect(open_kinds(plan)).to be_empty
    expect(parts(plan).compact.keys - %w[rotor_screws]).to be_empty
    expect_order(
      plan,
      "judge",
      "adjuster_back",
      "rotor_off",
      "read_rotor",
      "read_limit",
      "shoes_look",
      "rotor_on",
      "pads_back"
    )
    expect(steps(plan)).not_to include("piston_home", "bleed", "pads_in")
    judged = plan.scope.included.first.rotors
    expect(judged[:verdict]).to eq("unknown_limit").or eq("unmeasured")
  end

  it "inspects through the wheels without lifting" do
    front = axle(:front, floating)
    plan = planned(front, "look")
    expect(steps(plan)).to eq(%w[settle cool stand_still look_through look_through])
    expect([plan.torque, open_kinds(plan), plan.ready?]).to eq([[], [], true])
  end

  it "opens the screw before the vehicle's own pump runs, circuit by circuit" do
    approach(bleeding: "pump")
    front = axle(:front, { **floating, "slide_pin_bolt.torque": %w[30 N·m], "fluid.grade": "dot_4" })
    plan = planned(front, "pads", "bleed")
    text = said(plan, "bleed_pump")
    expect(text.index("open the bleed screw")).to be < text.index("start the pump")
    expect(text).to include("Check the level")
    # every circuit once, then every circuit again, and only then is a pedal pumped
    rounds = %w[bleed_pump bleed_pump bleed_pump_again bleed_pump_again nuts_by_hand pump]
    expect(steps(plan) & rounds.uniq).to eq(rounds.uniq)
    expect(steps(plan).grep(/bleed_pump/)).to eq(rounds.take(4))
    expect(tools(plan)).to include("scan_tool", "maintainer")
    expect(steps(plan)).not_to include("bleed")
  end

  it "bleeds by gravity with the cap off and no one at the pedal" do
    approach(bleeding: "gravity")
    axles = vehicle(front: { **floating, "slide_pin_bolt.torque": %w[30 N·m], "fluid.grade": "dot_4" })
    plan = planned(axles[:front], "pads", "bleed")
    expect_order(plan, "fluid_fresh", "cap_off", "bleed_hose", "bleed_gravity")
    expect(said(plan, "bleed_gravity")).to include("keep everyone off the pedal")
    # rotors not measured are said, and hold nothing up
    expect(items(plan, "rotors")).to contain_exactly(have_attributes(blocks: false))
  end

  it "remembers reused single-use bolts and never reuses stretched ones" do
    front = axle(:front, { **floating, "slide_pin_bolt.torque": %w[30 N·m], "slide_pin_bolt.single_use": "reused" })
    plan = planned(front, "pads")
    expect(parts(plan).keys.grep(/single_use/)).to be_empty
    expect(plan.consumables.find { |each| each.id == "threadlocker" }.amount).to eq(4)
    allow(context).to receive(:today).and_return(Date.iso8601(ApiHelper::TODAY) + 400)
    later = Graver::Service::Jobs::JobPlan.new(context).find(job_id)
    expect(items(later, "reused")).to contain_exactly(have_attributes(blocks: true, tickable: true))
    refused = know(front, %w[slide_pin_bolt.angle 90 °])
    expect([status, fields(refused)]).to eq([422, { "entries.0.value" => "stretched" }])
  end

  it "proposes shoes only where the pads are good" do
    rear =
      axle(
        :rear,
        {
          **floating,
          "rotor.retention": "nothing",
          "parking_brake.kind": "drum_in_hat",
          "pad.new_thickness": %w[11 mm],
          "rotor.discard_thickness": %w[8 mm],
          "rotor.new_thickness": %w[10 mm]
        }
      )
    pads = %w[left right].product(%w[inner outer]).map { |side, pad| pad("10", side:, pad:, axle: rear) }
    rotors =
      %w[left right].map do |side|
        { axle: rear, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["9.9"] }
      end
    seen = { axle: rear, side: "left", item: "shoes", mark: "lining_off" }
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *pads, *rotors, conditions: [seen]))
    expect(status).to eq(201)
    proposed = Graver::Service::Jobs::JobPlan.new(context.for_request).proposed(rear).scope.included.first
    expect(proposed.works).to eq(["shoes"])
  end

  it "never keeps a rotor with metal contact, deep grooves or pulsation" do
    known = { **floating, "rotor.discard_thickness": %w[22 mm], "rotor.new_thickness": %w[25 mm] }
    { "grooved_deep" => %w[face_bad turn replace], "heat_spotted" => %w[replace] }.each do |mark, verdicts|
      front = axle(:front, known)
      rotors =
        %w[left right].map do |side|
          { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["24.5"] }
        end
      seen = { axle: front, side: "left", face: "inner", item: "rotor_face", mark: }
      ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *rotors, conditions: [seen]))
      expect(status).to eq(201)
      judged = Graver::Service::Jobs::JobPlan.new(context.for_request).proposed(front).scope.axles.first.rotors
      expect(verdicts).to include(judged[:verdict])
    end
  end

  it "says to draw off fluid at MAX, whatever the reservoir's volume" do
    front = axle(:front, { **floating, "slide_pin_bolt.torque": %w[30 N·m] })
    ask(
      :post,
      inspections,
      inspection(ApiHelper::TODAY, "60000", pad("5"), conditions: [{ item: "fluid_level", value: "1" }])
    )
    expect(status).to eq(201)
    expect(items(planned(front, "pads"), "draw_off").map(&:text)).to contain_exactly(start_with("The fluid is at MAX"))
  end
end
