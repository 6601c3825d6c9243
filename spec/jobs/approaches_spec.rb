# frozen_string_literal: true

require_relative "../support/planned_job"

# What an owner's approach changes in steps, parts, tools and consumables: common practice, no source.
RSpec.describe "Approaches in a job" do
  include PlannedJob

  let(:floating) do
    {
      "caliper.kind": "floating_slide_pins",
      "wheel_nut.torque": %w[120 N·m],
      "wheel_nut.count": "5",
      "slide_pin_bolt.torque": %w[30 N·m],
      "bracket_bolt.torque": %w[110 N·m],
      "rotor.retention": "screws"
    }
  end
  let(:front) { axle(:front, floating) }
  let(:everything) { planned(front, "pads", "rotors_new") }

  def bought(plan) = plan.consumables.to_h { |each| [each.id, each.amount] }
  def goes(plan, place) = plan.places.find { |each| each.place == place }.use

  it "names the owner's grease at the pins and buys only that" do
    expect(said(everything, "pins")).to match(/thin film of silicone.*pushes the pin back out/)
    expect(bought(everything).keys.grep(/pin_grease/)).to eq(["pin_grease"])
    approach(pin_grease: "synthetic")
    expect(bought(plan)).to include("pin_grease_synthetic" => 6)
    expect(bought(plan)).not_to have_key("pin_grease")
    approach(pin_grease: "dry")
    expect(said(plan, "pins")).to include("Leave them dry")
    expect(bought(plan).keys.grep(/pin_grease/)).to be_empty
    expect(goes(plan, "Slide pins and bores")).to match(/\Adry/)
  end

  it "uses the approach's threadlocker unless the bolt's own is on file" do
    # two pin bolts and two bracket bolts a corner
    expect(bought(everything)).to include("threadlocker" => 8)
    approach(lock_pins: "none", lock_screws: "locker")
    expect(bought(plan)).to include("threadlocker" => 6)
    expect(said(plan, "rotor_screws_in")).to include("Put a drop of medium threadlocker on the thread.")
    know(front, ["bracket_bolt.threadlocker", "none", nil])
    expect(bought(plan)).to include("threadlocker" => 2)
    approach(lock_screws: "dry")
    expect(bought(plan)).not_to have_key("threadlocker")
  end

  it "requires new rotor screws only where they are always replaced" do
    screws = ->(plan) { plan.parts.find { |part| part.line.id == "rotor_screws" }.line }
    expect(screws.call(everything)).to have_attributes(optional: true, count: 2)
    approach(rotor_screw: "new")
    expect(screws.call(plan)).to have_attributes(optional: false, count: 2)
    expect(said(plan, "rotor_screws_in")).to include("Fit new rotor screws.")
  end

  it "takes the bracket off where it is cleaned on the bench, with its bolts on the card" do
    plan = planned(front, "pads")
    expect(steps(plan) & ["bracket_off"]).to be_empty
    expect(line(plan, "bracket_bolt")).to be_nil
    approach(bracket: "off")
    plan = self.plan
    expect_order(plan, "pads_out", "bracket_off", "clean_lands", "pins", "bracket_on", "clean_gloves", "pads_in")
    expect(line(plan, "bracket_bolt")).to have_attributes(count: 4)
    expect(steps(plan) & ["rotor_off"]).to be_empty
  end

  it "undoes wheel nuts in the air with an impact wrench, on tested stands" do
    approach(crack: "air")
    expect(steps(everything) & %w[crack_nuts wheel_off]).to be_empty
    expect_order(everything, "chock", "lift", "shake", "wheel_off_impact", "judge")
    expect(tools(everything)).to include("impact_wrench")
    expect(said(everything, "wheel_off_impact")).to include("locking nut, use its key")
  end

  it "clamps the hose only with the screw open, and removes the clamp before pumping" do
    approach(fluid_back: "clamp")
    expect_order(
      everything,
      "screw_cracked",
      "hose_clamped",
      "screw_open",
      "piston_home",
      "screw_closed",
      "hose_unclamped",
      "pump"
    )
    expect(tools(everything)).to include("hose_clamp", "bleed_spanner")
    late = { action: "move", key: "front.left.hose_unclamped", after: "front.pump" }
    expect { planning.adjust(job_id, late) }.to raise_error(Graver::InvalidEntry)
  end

  it "opens an electric brake before the wheel comes off or after, never after the caliper" do
    rear = axle(:rear, { **floating, "parking_brake.kind": "electric" })
    expect_order(planned(rear, "pads"), "shake", "service_mode", "wheel_off", "pin_bolts_out")
    approach(service: "after")
    expect_order(plan, "shake", "wheel_off", "service_mode_after", "push_a_little", "pin_bolts_out", "motor_closed")
    expect(steps(plan) & ["service_mode"]).to be_empty
    expect(said(plan, "service_mode_after")).to match(/hands out.*message that it has finished/)
  end

  it "bleeds under pressure with its tool and limit" do
    approach(bleeding: "pressure")
    plan = planned(front, "bleed")
    expect(said(plan, "bleeder_on")).to include("1.4 bar (20 psi). Never go above")
    expect(tools(plan).grep(/bleeder/)).to eq(["pressure_bleeder"])
    expect_order(plan, "fluid_fresh", "bleed_pressure", "pump")
  end

  it "knows the variant, the nut caps and the pad with the sensor" do
    know(
      front,
      ["brake.variant", "300 x 28", nil],
      ["vehicle.wheel_trim", "locking", nil],
      ["wear_sensor", "both", nil],
      ["sensor.pad", "both", nil],
      ["slide_pin_bolt.single_use", "with_pads", nil]
    )
    plan = planned(front, "pads", "rotors_new", "sensors")
    expect(plan.parts.map { |part| part.line.label }.grep(/brake variant 300 x 28/).length).to eq(2)
    expect(parts(plan)).to include("wear_sensor" => 4)
    expect(tools(plan)).to include("locking_key")
    expect_order(plan, "locking_key", "crack_nuts", "lift")
    shown =
      Graver::API::Serializers::JobPlans.new(context.knowledge).call(
        plan,
        Graver::Service::Jobs::StepDetails.new(context.knowledge).call(plan)
      )
    expect(shown[:steps].map { |each| each[:text] }.grep(/wear sensors into both pads/)).not_to be_empty
    # nothing to buy beside the pads, and a line to look for in their box
    expect(parts(plan)).not_to have_key("single_use.slide_pin_bolt")
    expect(plan.parts.find { |part| part.line.id == "pads" }.line.lays).to include("in the box: new slide pin bolts")
    expect(line(plan, "slide_pin_bolt")).to have_attributes(single_use: true)
  end

  it "applies to one job if chosen there" do
    expect(steps(everything)).to include("crack_nuts")
    here =
      lambda do |approach, option|
        ask(:put, "/jobs/#{job_id}/approaches", { approach:, option: })["scope"]&.fetch("approaches")
      end
    expect(here["crack", "air"].find { |each| each["id"] == "crack" }).to include("chosen" => "air", "here" => true)
    expect(steps(plan)).to include("wheel_off_impact")
    other = planning.plan(front, "2026-05-30")
    expect(
      Graver::Service::Jobs::JobPlan.new(context.for_request).find(other.id).ordered.placed.map { |each| each.step.id }
    ).to include("crack_nuts")
    expect(here["crack", nil].find { |each| each["id"] == "crack" }).to include("chosen" => "ground", "here" => false)
    here["crack", "teeth"]
    expect([status, fields(JSON.parse(last_response.body)).keys]).to eq([422, ["option"]])
    here["luck", "air"]
    expect([status, fields(JSON.parse(last_response.body)).keys]).to eq([422, ["approach"]])
  end

  it "applies to every job if chosen for the household" do
    all = ask(:get, "/approaches")
    expect(all["approaches"].map { |each| each["group"] }.uniq.length).to eq(6)
    expect(all["approaches"]).to all(satisfy { |each| each["options"].all? { |option| option["because"] } })
    approach(hub: "bare")
    expect(said(everything, "hub_face")).to include("Leave both bare")
    expect(ask(:get, "/approaches")["approaches"].find { |each| each["id"] == "hub" }).to include(
      "chosen" => "bare",
      "default" => "film"
    )
  end

  # 1.6 mm: 49 CFR 393.47; 1.5 mm: UK inspection manual, 1.1.13 (both from memory)
  it "stops at the limit of the chosen inspection" do
    vehicle = axle(:front, { "caliper.kind": "floating_slide_pins", "pad.new_thickness": %w[12 mm] })
    id = car["id"]
    readings =
      %w[left right]
        .product(%w[inner outer])
        .map { |side, pad| pad("1.55", side:, pad:, axle: vehicle, method: "micrometer") }
    ask(:post, "/vehicles/#{id}/inspections", inspection(ApiHelper::TODAY, "60000", *readings))
    rules = -> { ask(:get, "/vehicles/#{id}/findings")["findings"].map { |each| each["rule"] } }
    expect(rules.call).not_to include("pad-below-law")
    approach(inspection: "us_commercial")
    expect(rules.call).to include("pad-below-law")
    expect(ask(:get, "/vehicles/#{id}")["state"]["severity"]).to eq("stop")
    approach(inspection: "uk")
    expect(rules.call).not_to include("pad-below-law")
  end
end
