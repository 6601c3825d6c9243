# frozen_string_literal: true

require_relative "../support/planned_job"

# Jobs real owners do, with figures made up: common practice, no source.
RSpec.describe "Jobs on pads and rotors" do
  include PlannedJob

  let(:sliding) { { "caliper.kind": "floating_slide_pins", "wheel_nut.torque": %w[120 N·m], "wheel_nut.count": "5" } }
  let(:pins) { { "slide_pin_bolt.torque": %w[28 N·m], "bracket_bolt.torque": %w[105 N·m] } }

  it "counts two screws per rotor, removes spring and caps before the guide bolts, draws off first and bleeds last" do
    approach(fluid_back: "drawn")
    front =
      axle(
        :front,
        {
          "caliper.kind": "floating_spring_retainer",
          "rotor.retention": "screws",
          "rotor_screw.count": "2",
          "rotor_screw.drive": "torx-35",
          "hose.fitting": "screwed",
          "fluid.grade": "dot_4",
          "guide_bolt.torque": %w[30 N·m],
          "bracket_bolt.torque": %w[120 N·m],
          "wheel_nut.torque": %w[120 N·m]
        }
      )
    plan = planned(front, "pads", "rotors_new", "bleed")
    expect(line(plan, "rotor_screw").count).to eq(4)
    expect(parts(plan)).to include("rotor_screws" => 4)
    expect(tools(plan)).to include("torx_bits")
    expect_order(
      plan,
      "level_before",
      "draw_first",
      "spring_off",
      "guide_bolts_out",
      "guide_bolts_in",
      "corner_check",
      "bleed"
    )
    expect(said(plan, "guides_clean")).to include("Leave the shanks dry")
    # the bleed screw's torque is asked for, and snug will do
    expect(line(plan, "bleed_screw")).to have_attributes(torque: nil, snug: true)
    expect(items(plan, "torque").map(&:id)).to be_empty
  end

  it "leaves a staying bracket on, removes the ring first and keeps a torque range" do
    rear =
      axle(
        :rear,
        {
          **sliding,
          "bracket.kind": "stays",
          "rotor.retention": "hub_ring",
          "parking_brake.kind": "drum_in_hat",
          "vehicle.drive": "all",
          "wheel_nut.torque": %w[125-150 N·m],
          "slide_pin_bolt.torque": %w[28 N·m]
        },
        kind: "off_roader"
      )
    plan = planned(rear, "pads", "rotors_new")
    expect(steps(plan)).not_to include("bracket_off", "bracket_on", "clips_back_on")
    expect(line(plan, "bracket_bolt")).to be_nil
    expect_order(plan, "wheel_off", "hub_ring_out", "pin_bolts_out", "rotor_off", "rotor_on", "hub_ring_in", "pads_in")
    expect(parts(plan)).to include("rotor_hub_ring" => 2, "adjuster_plug" => 2)
    expect(plan.parts.find { |part| part.line.id == "rotor_hub_ring" }.line.optional).to be(true)
    expect(steps(plan)).to include("turn_hub_driven").and(satisfy { |ids| !ids.include?("turn_hub") })
    expect(said(plan, "nuts_by_hand")).to include("lift the wheels onto the hub")
    torque = line(plan, "wheel_nut").torque
    expect([torque.low, torque.newton_metres, torque.high]).to eq([125.0, 137.5, 150.0])
  end

  it "frees the hose bracket first with its torque, and needs push-off bolts only if stuck" do
    front =
      axle(
        :front,
        {
          **sliding,
          **pins,
          "rotor.retention": "push_off",
          "hose.holder": "bolt",
          "hose_holder_bolt.torque": %w[20 N·m],
          "rotor_screw.torque": %w[8 N·m]
        }
      )
    plan = planned(front, "pads", "rotors_new")
    expect_order(plan, "hose_holder_off", "pin_bolts_out", "pin_bolts_in", "hose_holder_on", "corner_check")
    expect(line(plan, "hose_holder_bolt").torque.newton_metres).to eq(20.0)
    expect(said(plan, "rotor_screws_out")).to match(/impact driver.*drill.*spare/)
    expect(said(plan, "pushed_off")).to start_with("If the rotor sticks")
    expect(plan.readiness.select(&:open?).map(&:text).join).not_to include("push-off")
    expect(parts(plan)).to include("rotor_screws" => 2)
  end

  it "fits paste and sensor before the caliper, and asks which of two values counts" do
    front = axle(:front, { **sliding, wear_sensor: "left", "slide_pin_bolt.torque": %w[22-26 N·m] })
    ask(
      :post,
      "/axles/#{front}/brake-data",
      { entries: [{ key: "slide_pin_bolt.torque", value: "35", unit: "N·m", source: "parts_counter" }] }
    )
    plan = planned(front, "pads", "sensors")
    expect_order(plan, "clean_gloves", "pads_in", "sensor_in", "pin_bolts_in", "sensor_on")
    expect(steps(plan, "right")).not_to include("sensor_in")
    expect(items(plan, "rivals")).to contain_exactly(have_attributes(never: true, blocks: true))
    expect(plan.ordered.placed.find { |placed| placed.step.id == "clean_gloves" }.step.mandatory).to be(true)
  end

  it "loosens the bleed screw on the bolted caliper, and does bench work before the bracket" do
    approach(fluid_back: "screw")
    rear =
      axle(
        :rear,
        {
          **sliding,
          **pins,
          "rotor.retention": "nothing",
          "parking_brake.kind": "drum_in_hat",
          "bleed_screw.torque": %w[8 N·m]
        }
      )
    plan = planned(rear, "pads", "rotors_new", "pins", "clips")
    expect_order(
      plan,
      "screw_cracked",
      "pin_bolts_out",
      "bracket_off",
      "clean_lands",
      "pins_new",
      "clips_new",
      "bracket_on"
    )
    expect_order(plan, "screw_open", "piston_home", "screw_closed", "clean_gloves")
    expect(said(plan, "pads_in")).to include("squealer tab, move it over")
    expect(parts(plan)).to include("adjuster_plug" => 2, "pin_kit" => 2)
  end

  it "takes caliper and bracket off as one if chosen" do
    approach(unit: "one")
    front =
      axle(
        :front,
        {
          **sliding,
          "bracket_bolt.torque": %w[130 N·m],
          "bracket_bolt.threadlocker": "none",
          "caliper.piston_count": "2",
          springs: "spread",
          "rotor.retention": "screws",
          "rotor_screw.threadlocker": "medium"
        },
        kind: "off_roader"
      )
    plan = planned(front, "pads", "rotors_new")
    expect_order(
      plan,
      "unit_off",
      "unit_opened",
      "springs_out",
      "pads_out",
      "rotor_off",
      "rotor_on",
      "unit_bracket_on",
      "pads_in",
      "springs_in",
      "unit_pin_bolts_in"
    )
    # spread springs go in with the bracket in its place, and the pin bolts were out: they are tightened
    expect(steps(plan)).not_to include("pin_bolts_out", "pin_bolts_in", "bracket_off", "unit_on")
    expect(line(plan, "slide_pin_bolt")).not_to be_nil
    expect(said(plan, "piston_home")).to include("push two together")
    # a drop each on two rotor screws and four pin bolts, none on the bracket bolts
    expect(plan.consumables.find { |each| each.id == "threadlocker" }.amount).to eq(6)
  end

  it "sends both rotors to the machine shop together" do
    front =
      axle(
        :front,
        {
          **sliding,
          **pins,
          "rotor.retention": "nothing",
          "rotor.machine_to_thickness": %w[22.5 mm],
          "rotor.discard_thickness": %w[22 mm]
        }
      )
    plan = planned(front, "pads", "rotors_turn")
    away = plan.ordered.placed.index { |placed| placed.step.id == "rotors_away" }
    off = plan.ordered.placed.each_index.select { |at| plan.ordered.placed[at].step.id == "rotor_off" }
    expect(off.length).to eq(2)
    expect(off.max).to be < away
    expect(items(plan, "turning")).not_to be_empty
  end

  it "requires the job for rotors under discard, whatever the pads" do
    front = axle(:front, { **sliding, **pins, "rotor.retention": "nothing", "rotor.discard_thickness": %w[22 mm] })
    rotors =
      %w[left right].map do |side|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["21.6"] }
      end
    pads = %w[left right].product(%w[inner outer]).map { |side, pad| pad("7", side:, pad:, axle: front) }
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *rotors, *pads))
    proposed = Graver::Service::Jobs::JobPlan.new(context.for_request).proposed(front)
    scope = proposed.scope.included.first
    expect(scope.works).to include("rotors_new", "pads")
    expect(scope.proposed["rotors_new"]).to eq("Replace both rotors")
    expect(scope.rotors[:must]).to be(true)
    # what is condemned need not be measured again
    plan = planned(front, "pads", "rotors_new")
    expect(steps(plan)).to include("look_rotor").and(satisfy { |ids| !ids.include?("read_rotor") })
  end
end
