# frozen_string_literal: true

require_relative "../support/planned_job"

# Jobs on other brakes, with figures made up: common practice, no source.
RSpec.describe "Jobs on other brakes" do
  include PlannedJob

  let(:floating) { { "caliper.kind": "floating_slide_pins", "wheel_nut.torque": %w[120 N·m], "wheel_nut.count": "5" } }

  it "says “both pads” for a one-disc motorcycle and deglazes before the caliper" do
    rear =
      one_disc(
        {
          "caliper_mount_bolt.torque": %w[27 N·m],
          "pad_pin.torque": %w[18 N·m],
          "rotor.discard_thickness": %w[180 thou]
        }
      )
    plan = planned(rear, "pads")
    expect(plan.parts.find { |part| part.line.id == "pads" }.line.label).to include("2 pads")
    all = plan.ordered.placed.map { |placed| placed.step.text }.join(" ")
    expect(all).not_to match(/in gear|in park|engine on/i)
    expect_order(plan, "level_before", "deglaze", "bike_caliper_on", "pump")
  end

  # The front brake has a hand lever, the rear one a pedal: pumping the other one would prove nothing. The wheel stays on.
  it "names the lever or the pedal of the brake that was open, or both" do
    bike = { "caliper.kind": "motorcycle_floating" }
    axles = vehicle("motorcycle", front: bike, rear: bike)
    pumped = ->(plan) { spoken(plan).find { |step| step["key"].end_with?("pump") } }
    rear = pumped.call(planned(axles[:rear], "pads"))
    expect(rear["text"]).to include("Pump the pedal slowly until it is firm")
    expect(rear["cautions"].map { |each| each["text"] }.join).to include("until the pedal is firm")
    expect(pumped.call(planned(axles[:front], "pads"))["text"]).to include("Pump the lever slowly until it is firm")
    both = planned(axles[:front], "pads", axles[:rear].to_s => ["pads"])
    expect(pumped.call(both)["text"]).to include("Pump the pedal and the lever slowly until each is firm")
    texts = spoken(both).map { |step| [step["text"], step["why"]].join(" ") }.join(" ")
    expect(texts).to include("Pull the pad pin").and include("Turn the wheel by hand")
    expect(texts).not_to match(/with the wheel on|Turn the hub|pedal \(lever\)/)
  end

  # Its rotor is bolted to the wheel, which is out: it has no hub face, studs or hat, and no parking shoes.
  it "says nothing of a car's hub where a motorcycle's rotor is renewed" do
    bike = { "caliper.kind": "motorcycle_fixed", "rotor.retention": "bolts", "rotor_bolt.torque": %w[23 N·m] }
    plan = planned(axle(:front, bike, kind: "motorcycle", discs: { front: 2 }), "pads", "rotors_new")
    texts = %w[film bare].map { |hub| approach(hub:) && spoken(plan).map { |step| step["text"] }.join(" ") }
    expect(texts).to all(include("Brush the seat of the rotor on the wheel"))
    expect(texts).to all(include("off the wheel. If it's stuck, tap its carrier", "flat against its seat"))
    expect(texts.join).not_to match(/\bstuds?\b|parking|window|\bhub\b|\bhat\b/i)
  end

  def spoken(_plan) = ask(:get, "/jobs/#{job_id}")["steps"]

  it "says nothing of cars on a motorcycle with two front discs, and blocks its lever" do
    front =
      axle(
        :front,
        { "caliper.kind": "motorcycle_fixed", "pad.new_thickness": %w[4 mm], "caliper_mount_bolt.torque": %w[35 N·m] },
        kind: "motorcycle",
        discs: {
          front: 2,
          rear: 1
        }
      )
    plan = planned(front, "pads", "bleed")
    expect(plan.scope.axles.first.file.limit_mm).to eq(2.0)
    expect(plan.parts.find { |part| part.line.id == "pads" }.line.label).to include("4 pads")
    texts =
      ask(:get, "/jobs/#{job_id}")["steps"].flat_map do |step|
        [step["text"], *step["cautions"].map { |each| each["text"] }]
      end
    expect(texts.join(" ")).not_to match(
      /\bpedal\b|wheel nut|lug nut|axle stand|jack stand|engine starts|in gear|hub cap/i
    )
    expect_order(
      plan,
      "lever_blocked",
      "bike_caliper_off",
      "bike_caliper_on",
      "lever_free",
      "fluid_fresh",
      "bleed",
      "pump"
    )
  end

  it "names the right bit and the wrench that is too small" do
    front =
      axle(
        :front,
        {
          **floating,
          "rotor.retention": "screws",
          "rotor_screw.drive": "jis-3",
          "bracket_bolt.drive": "key-19",
          "bracket_bolt.torque": %w[140 N·m],
          "slide_pin_bolt.torque": %w[35 N·m]
        },
        kind: "off_roader"
      )
    ask(:post, "/torque-wrenches", { name: "Middle", unit: "N·m", least: "20", most: "100", graduation: "1" })
    plan = planned(front, "pads", "rotors_new")
    expect(tools(plan)).to include("jis_bits", "hex_bits_large")
    expect(items(plan, "wrench").map(&:text).join).to match(/bracket bolts.*140/i)
  end

  it "waits for the end of service mode, keeps the angle, and says bolts where there are bolts" do
    rear =
      axle(
        :rear,
        {
          **floating,
          "vehicle.wheels_by": "bolts",
          "parking_brake.kind": "electric",
          "rotor.retention": "nothing",
          "slide_pin_bolt.torque": %w[30 N·m],
          "bracket_bolt.torque": %w[90 N·m],
          # stretched by its angle: for one use, unless the owner says otherwise
          "bracket_bolt.angle": %w[90 °]
        },
        kind: "off_roader"
      )
    plan = planned(rear, "pads", "rotors_new")
    expect(said(plan, "service_mode")).to match(/maintainer.*key on.*message that it has finished/)
    expect_order(plan, "service_mode", "pin_bolts_out", "pump", "motor_closed")
    expect(line(plan, "bracket_bolt")).to have_attributes(angle_degrees: 90.0, single_use: true)
    expect(parts(plan)).to include("single_use.bracket_bolt" => 4)
    shown =
      Graver::API::Serializers::JobPlans.new(context.knowledge).call(
        plan,
        Graver::Service::Jobs::StepDetails.new(context.knowledge).call(plan)
      )
    expect(shown[:torque].map { |each| each[:label] }).to include("Lug bolts")
    expect(shown[:steps].map { |each| each[:text] }.grep(/lug nut|lowest nut/i)).to be_empty
    expect(shown[:steps].map { |each| each[:text] }.grep(/lug bolts/i)).not_to be_empty
  end

  it "opens the electric brake with the wheel off if chosen" do
    rear = axle(:rear, { **floating, "parking_brake.kind": "electric", "slide_pin_bolt.torque": %w[30 N·m] })
    planned(rear, "pads")
    planning.adjust(job_id, { action: "move", key: "rear.service_mode", after: "rear.left.wheel_off" })
    expect_order(plan, "wheel_off", "service_mode", "pin_bolts_out")
    late = { action: "move", key: "rear.service_mode", after: "rear.left.pin_bolts_out" }
    expect { planning.adjust(job_id, late) }.to raise_error(Graver::InvalidEntry)
  end

  it "has no step for a bracket that is not there" do
    front =
      axle(
        :front,
        { **floating, "bracket.kind": "none", "rotor.retention": "nothing", "slide_pin_bolt.torque": %w[30 N·m] }
      )
    plan = planned(front, "pads", "rotors_new")
    expect(steps(plan).grep(/bracket/)).to be_empty
    expect(line(plan, "bracket_bolt")).to be_nil
    expect(open_kinds(plan)).not_to include("torque")
  end

  it "swings a one-bolt caliper up, and counts no unpriced saving" do
    rear =
      axle(
        :rear,
        {
          **floating,
          "caliper.kind": "floating_hinged",
          "parking_brake.kind": "drum_in_hat",
          "slide_pin_bolt.torque": %w[30 N·m]
        },
        kind: "off_roader"
      )
    plan = planned(rear, "pads")
    expect(steps(plan, "left")).to include("swing_up").and(satisfy { |ids| !ids.include?("pin_bolts_out") })
    expect(line(plan, "slide_pin_bolt").count).to eq(2)
    planning.quote(job_id, "400")
    expect(plan.money).to have_attributes(saving: nil, unpriced: be_any)
  end

  it "unhooks the cable first and adjusts it last" do
    rear =
      axle(
        :rear,
        {
          **floating,
          "parking_brake.kind": "cable",
          "parking_brake.turns": "mirrored",
          "parking_brake.lever_gap_most": %w[1.5 mm],
          "pad.overall_limit": %w[7.5 mm],
          "slide_pin_bolt.torque": %w[30 N·m]
        }
      )
    plan = planned(rear, "pads")
    expect_order(
      plan,
      "release_brake",
      "cable_off",
      "pin_bolts_out",
      "piston_wound",
      "pin_bolts_in",
      "cable_on",
      "pump_held",
      "cable_set",
      "nuts_by_hand",
      "pump"
    )
    expect(said(plan, "cable_set")).to match(/levers.*gap.*clicks.*turn free/)
    expect(steps(plan)).not_to include("piston_home")
  end

  it "loosens and connects the pipe on the bolted caliper, and checks the bearing" do
    rear =
      axle(
        :rear,
        {
          **floating,
          "rotor.retention": "captive",
          "parking_brake.kind": "none",
          "hose.fitting": "pipe",
          "hub_nut.torque": %w[200 N·m],
          "bracket_bolt.torque": %w[100 N·m],
          "slide_pin_bolt.torque": %w[30 N·m],
          "fluid.grade": "dot_4"
        },
        kind: "off_roader"
      )
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
      "pipe_started",
      "pin_bolts_in",
      "pipe_on",
      "corner_check"
    )
    expect(said(plan, "pipe_started")).to include("its bolts still out").and include("start the pipe nut by hand")
    # a new caliper's pistons are back: nothing is pushed but the old one, before its pipe is open
    expect_order(plan, "push_a_little", "pipe_off", "caliper_ready", "pipe_started")
    expect(steps(plan)).not_to include("piston_home")
    expect(parts(plan)).to include("hub_kit" => 2, "caliper" => 2)
    expect(steps(plan)).to include("bleed")
  end

  it "pushes no piston of a new caliper, whatever way was chosen, and lines up one that winds in" do
    approach(piston: "on_car", fluid_back: "screw")
    data = { **floating, "slide_pin_bolt.torque": %w[30 N·m], "hose.fitting": "banjo", "bracket.kind": "separate" }
    rear = axle(:rear, { **data, "parking_brake.kind": "cable" })
    pushed = %w[piston_home piston_wound piston_home_on_car screw_open screw_open_first screw_closed]
    expect(steps(planned(rear, "pads")) & pushed).not_to be_empty
    plan = planned(rear, "pads", "caliper")
    expect(steps(plan) & pushed).to be_empty
    expect(said(plan, "caliper_ready_cable")).to include("slots line up with the pad's peg")
    expect_order(plan, "hose_off_banjo", "caliper_ready_cable", "pads_in", "bleed")
    expect(plan.fluid.plan.pushed).to eq(0)
  end

  # The lip of a worn rotor catches the old pads whatever the caliper comes off for.
  it "pushes the old piston a little before any caliper comes off" do
    data = { **floating, "slide_pin_bolt.torque": %w[30 N·m], "bracket.kind": "separate", "hose.fitting": "banjo" }
    front = axle(:front, data)
    %w[clips pins hose].each do |work|
      expect_order(planned(front, work), "level_before", "push_a_little", "pin_bolts_out")
    end
  end

  it "tells two different bolts of one caliper apart" do
    rear =
      one_disc(
        {
          "caliper_mount_bolt.count": "1",
          "caliper_mount_bolt.torque": %w[27 N·m],
          "own_1.name": "Lower caliper bolt",
          "own_1.torque": %w[22 N·m],
          "pad_pin.torque": %w[18 N·m]
        }
      )
    plan = planned(rear, "pads")
    bolts = plan.torque.map(&:line).to_h { |line| [line.label, [line.count, line.torque.newton_metres]] }
    expect(bolts).to include("Caliper mounting bolts" => [1, 27.0], "Lower caliper bolt" => [1, 22.0])
    expect_order(plan, "own_1_off_wheel", "bike_caliper_off", "bike_caliper_on", "own_1_on_wheel", "corner_check")
    expect(said(plan, "own_1_on_wheel")).to include("your own fastener 1")
  end

  # Common practice, no source: what holds something behind the rotor is tightened before the rotor covers it.
  it "undoes and tightens an owner's fastener in place, and requires its torque" do
    shield = {
      **floating,
      "rotor.retention": "nothing",
      "bracket_bolt.torque": %w[100 N·m],
      "slide_pin_bolt.torque": %w[30 N·m],
      "own_1.name": "Splash shield bolt",
      "own_1.place": "rotor",
      "own_2.name": "Second bracket bolt",
      "own_2.place": "bracket",
      "own_2.torque": %w[90 N·m]
    }
    plan = planned(axle(:front, shield), "pads", "rotors_new")
    expect_order(plan, "rotor_off", "own_1_off_rotor", "own_1_on_rotor", "rotor_on")
    expect_order(plan, "bracket_off", "own_2_off_bracket", "own_2_on_bracket", "bracket_on", "corner_check")
    expect(steps(plan).grep(/own_[12]_o\w+_(wheel|caliper)/)).to be_empty
    expect(items(plan, "torque").map(&:text).join).to match(/splash shield bolt/i).and(
      satisfy { |all| !all.include?("Second bracket") }
    )
  end
end
