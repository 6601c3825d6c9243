# frozen_string_literal: true

require_relative "../support/planned_job"

# Jobs on other brakes, and jobs that only look, with figures made up: common practice, no source.
RSpec.describe "Jobs on other brakes" do
  include PlannedJob

  let(:floating) { { "caliper.kind": "floating_slide_pins", "wheel_nut.torque": %w[120 N·m], "wheel_nut.count": "5" } }

  it "only looks at a car just bought, rotors off: nothing to buy holds it up, shoes, drum and cast limit are asked" do
    rear =
      vehicle(
        rear: {
          **floating,
          "rotor.retention": "nothing",
          "parking_brake.kind": "drum_in_hat",
          "slide_pin_bolt.torque": %w[30 N·m],
          "bracket_bolt.torque": %w[100 N·m]
        }
      )[
        :rear
      ]
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

  it "looks through the wheels without lifting anything" do
    front = vehicle(front: floating)[:front]
    plan = planned(front, "look")
    expect(steps(plan)).to eq(%w[settle cool stand_still look_through look_through])
    expect([plan.torque, open_kinds(plan), plan.ready?]).to eq([[], [], true])
  end

  it "opens the screw before the vehicle's own pump runs, circuit by circuit" do
    approach(bleeding: "pump")
    front = vehicle(front: { **floating, "slide_pin_bolt.torque": %w[30 N·m], "fluid.grade": "dot_4" })[:front]
    plan = planned(front, "pads", "bleed")
    text = said(plan, "bleed_pump")
    expect(text.index("Screw open first")).to be < text.index("start the pump")
    expect(text).to match(/twice, circuit by circuit.*level looked at/)
    expect(tools(plan)).to include("scan_tool", "maintainer")
    expect(steps(plan)).not_to include("bleed")
  end

  it "bleeds by gravity with the cap off and nobody at the pedal" do
    approach(bleeding: "gravity")
    axles = vehicle(front: { **floating, "slide_pin_bolt.torque": %w[30 N·m], "fluid.grade": "dot_4" })
    plan = planned(axles[:front], "pads", "bleed")
    expect(said(plan, "bleed_gravity")).to match(/\AReservoir cap off.*nobody touches the pedal/)
    # rotors not measured are said, and hold nothing up
    expect(items(plan, "rotors")).to contain_exactly(have_attributes(blocks: false))
  end

  it "speaks of both pads of a one-disc motorcycle and never of gears, and deglazes before the caliper" do
    rear =
      vehicle(
        "motorcycle",
        discs: {
          rear: 1
        },
        rear: {
          "caliper.kind": "motorcycle_floating",
          "caliper_mount_bolt.torque": %w[27 N·m],
          "pad_pin.torque": %w[18 N·m],
          "rotor.discard_thickness": %w[180 thou]
        }
      )[
        :rear
      ]
    plan = planned(rear, "pads")
    expect(plan.parts.find { |part| part.line.id == "pads" }.line.label).to include("2 pads")
    all = plan.ordered.placed.map { |placed| placed.step.text }.join(" ")
    expect(all).not_to match(/in gear|in park|engine on/i)
    expect_order(plan, "level_before", "deglaze", "bike_caliper_on", "pump")
  end

  it "names the right bit and says which wrench is too small" do
    front =
      vehicle(
        "off_roader",
        front: {
          **floating,
          "rotor.retention": "screws",
          "rotor_screw.drive": "jis-3",
          "bracket_bolt.drive": "key-19",
          "bracket_bolt.torque": %w[140 N·m],
          "slide_pin_bolt.torque": %w[35 N·m]
        }
      )[
        :front
      ]
    ask(:post, "/torque-wrenches", { name: "Middle", unit: "N·m", least: "20", most: "100", graduation: "1" })
    plan = planned(front, "pads", "rotors_new")
    expect(tools(plan)).to include("jis_bits", "hex_bits_large")
    expect(items(plan, "wrench").map(&:text).join).to match(/bracket bolts.*140/i)
  end

  it "waits for the announced end of the service mode, keeps the angle, and says bolts where there are bolts" do
    rear =
      vehicle(
        "off_roader",
        rear: {
          **floating,
          "vehicle.wheels_by": "bolts",
          "parking_brake.kind": "electric",
          "rotor.retention": "nothing",
          "slide_pin_bolt.torque": %w[30 N·m],
          "bracket_bolt.torque": %w[90 N·m],
          "bracket_bolt.angle": %w[90 °],
          "bracket_bolt.single_use": "once"
        }
      )[
        :rear
      ]
    plan = planned(rear, "pads", "rotors_new")
    expect(said(plan, "service_mode")).to match(/maintainer.*Key on.*until its end is announced/)
    expect_order(plan, "service_mode", "pin_bolts_out", "pump", "motor_closed")
    expect(line(plan, "bracket_bolt")).to have_attributes(angle_degrees: 90.0, single_use: true)
    expect(parts(plan)).to include("single_use.bracket_bolt" => 4)
    shown = Graver::API::Serializers::JobPlans.new(context.knowledge).call(plan)
    expect(shown[:torque].map { |each| each[:label] }).to include("Wheel bolts")
    expect(shown[:steps].map { |each| each[:text] }.grep(/wheel nut|lowest nut/i)).to be_empty
    expect(shown[:steps].map { |each| each[:text] }.grep(/wheel bolts/i)).not_to be_empty
  end

  it "lets the electric brake be opened after the wheel is off, where its owner works so" do
    rear = vehicle(rear: { **floating, "parking_brake.kind": "electric", "slide_pin_bolt.torque": %w[30 N·m] })[:rear]
    planned(rear, "pads")
    planning.adjust(job_id, { action: "move", key: "rear.service_mode", after: "rear.left.wheel_off" })
    expect_order(plan, "wheel_off", "service_mode", "pin_bolts_out")
    late = { action: "move", key: "rear.service_mode", after: "rear.left.pin_bolts_out" }
    expect { planning.adjust(job_id, late) }.to raise_error(Graver::InvalidEntry)
  end

  it "has no step for a bracket that is not there" do
    front =
      vehicle(
        front: {
          **floating,
          "bracket.kind": "none",
          "rotor.retention": "nothing",
          "slide_pin_bolt.torque": %w[30 N·m]
        }
      )[
        :front
      ]
    plan = planned(front, "pads", "rotors_new")
    expect(steps(plan).grep(/bracket/)).to be_empty
    expect(line(plan, "bracket_bolt")).to be_nil
    expect(open_kinds(plan)).not_to include("torque")
  end

  it "swings a one-bolt caliper up, and never counts what has no price as saved" do
    rear =
      vehicle(
        "off_roader",
        rear: {
          **floating,
          "caliper.kind": "floating_hinged",
          "parking_brake.kind": "drum_in_hat",
          "slide_pin_bolt.torque": %w[30 N·m]
        }
      )[
        :rear
      ]
    plan = planned(rear, "pads")
    expect(steps(plan, "left")).to include("swing_up").and(satisfy { |ids| !ids.include?("pin_bolts_out") })
    expect(line(plan, "slide_pin_bolt").count).to eq(2)
    planning.quote(job_id, "400")
    expect(plan.money).to have_attributes(saving: nil, unpriced: be_any)
  end

  it "slackens and unhooks the cable first, winds the piston, pumps, and sets the cable last" do
    rear =
      vehicle(
        rear: {
          **floating,
          "parking_brake.kind": "cable",
          "parking_brake.turns": "mirrored",
          "parking_brake.lever_gap_most": %w[1.5 mm],
          "pad.overall_limit": %w[7.5 mm],
          "slide_pin_bolt.torque": %w[30 N·m]
        }
      )[
        :rear
      ]
    plan = planned(rear, "pads")
    expect_order(
      plan,
      "release_brake",
      "cable_off",
      "pin_bolts_out",
      "piston_wound",
      "pin_bolts_in",
      "cable_on",
      "pump",
      "cable_set"
    )
    expect(said(plan, "cable_set")).to match(/levers.*gap.*clicks.*turn free/)
    expect(steps(plan)).not_to include("piston_home")
  end

  it "cracks the pipe on the bolted caliper, joins it on the bolted caliper, and proves the bearing" do
    rear =
      vehicle(
        "off_roader",
        rear: {
          **floating,
          "rotor.retention": "captive",
          "parking_brake.kind": "none",
          "hose.fitting": "pipe",
          "hub_nut.torque": %w[200 N·m],
          "bracket_bolt.torque": %w[100 N·m],
          "slide_pin_bolt.torque": %w[30 N·m],
          "fluid.grade": "dot_4"
        }
      )[
        :rear
      ]
    plan = planned(rear, "pads", "rotors_new", "caliper")
    expect_order(
      plan,
      "pipe_crack",
      "pipe_off",
      "pin_bolts_out",
      "half_shaft_out",
      "hub_nut_off",
      "hub_off",
      "rotor_off"
    )
    expect_order(
      plan,
      "hub_on",
      "bearing_spins",
      "half_shaft_in",
      "bracket_on",
      "pin_bolts_in",
      "pipe_on",
      "corner_check"
    )
    expect(said(plan, "pipe_on")).to start_with("Pipe nut started by hand")
    expect(parts(plan)).to include("hub_kit" => 2, "caliper" => 2)
    expect(steps(plan)).to include("bleed")
  end

  it "keeps two different bolts of one caliper apart, one of them the owner's own" do
    rear =
      vehicle(
        "motorcycle",
        discs: {
          rear: 1
        },
        rear: {
          "caliper.kind": "motorcycle_floating",
          "caliper_mount_bolt.count": "1",
          "caliper_mount_bolt.torque": %w[27 N·m],
          "own_1.name": "Lower caliper bolt",
          "own_1.torque": %w[22 N·m],
          "pad_pin.torque": %w[18 N·m]
        }
      )[
        :rear
      ]
    plan = planned(rear, "pads")
    bolts = plan.torque.map(&:line).to_h { |line| [line.label, [line.count, line.torque.newton_metres]] }
    expect(bolts).to include("Caliper mounting bolts" => [1, 27.0], "Lower caliper bolt" => [1, 22.0])
    expect_order(plan, "bike_caliper_on", "own_fasteners_in", "corner_check")
    expect(steps(plan)).to include("own_fasteners_in")
  end

  it "keeps in mind which once-only bolts were re-used, with locker, and never lets stretched ones go back" do
    front =
      vehicle(front: { **floating, "slide_pin_bolt.torque": %w[30 N·m], "slide_pin_bolt.single_use": "reused" })[:front]
    plan = planned(front, "pads")
    expect(parts(plan).keys.grep(/single_use/)).to be_empty
    expect(plan.consumables.find { |each| each.id == "threadlocker" }.amount).to eq(4)
    allow(context).to receive(:today).and_return(Date.iso8601(ApiHelper::TODAY) + 400)
    later = Graver::Service::Planning::JobPlan.new(context).find(job_id)
    expect(items(later, "reused")).to contain_exactly(have_attributes(blocks: true, tickable: true))
    refused = know(front, %w[slide_pin_bolt.angle 90 °])
    expect([status, fields(refused)]).to eq([422, { "entries.0.value" => "stretched" }])
  end

  it "proposes shoes alone where the pads are good" do
    rear =
      vehicle(
        rear: {
          **floating,
          "rotor.retention": "nothing",
          "parking_brake.kind": "drum_in_hat",
          "pad.new_thickness": %w[11 mm],
          "rotor.discard_thickness": %w[8 mm],
          "rotor.new_thickness": %w[10 mm]
        }
      )[
        :rear
      ]
    pads = %w[left right].product(%w[inner outer]).map { |side, pad| pad("10", side:, pad:, axle: rear) }
    rotors =
      %w[left right].map do |side|
        { axle: rear, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["9.9"] }
      end
    seen = { axle: rear, side: "left", item: "shoes", mark: "lining_off" }
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", *pads, *rotors, conditions: [seen]))
    expect(status).to eq(201)
    proposed = Graver::Service::Planning::JobPlan.new(context.for_request).proposed(rear).scope.included.first
    expect(proposed.works).to eq(["shoes"])
  end

  it "never lets a rotor stay that met bare metal, has deep grooves or pulsates" do
    known = { **floating, "rotor.discard_thickness": %w[22 mm], "rotor.new_thickness": %w[25 mm] }
    { "grooved_deep" => %w[face_bad turn replace], "heat_spotted" => %w[replace] }.each do |mark, verdicts|
      front = vehicle(front: known)[:front]
      rotors =
        %w[left right].map do |side|
          { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["24.5"] }
        end
      seen = { axle: front, side: "left", face: "inner", item: "rotor_face", mark: }
      ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", *rotors, conditions: [seen]))
      expect(status).to eq(201)
      judged = Graver::Service::Planning::JobPlan.new(context.for_request).proposed(front).scope.axles.first.rotors
      expect(verdicts).to include(judged[:verdict])
    end
  end

  it "says to draw off at MAX, whatever the reservoir holds" do
    front = vehicle(front: { **floating, "slide_pin_bolt.torque": %w[30 N·m] })[:front]
    ask(
      :post,
      look_overs,
      look_over(ApiHelper::TODAY, "60000", pad("5"), conditions: [{ item: "fluid_level", value: "1" }])
    )
    expect(status).to eq(201)
    expect(items(planned(front, "pads"), "draw_off").map(&:text)).to contain_exactly(
      start_with("The fluid stands at MAX")
    )
  end
end
