# frozen_string_literal: true

require_relative "../support/job_helper"

# A job that changes with the brake apart, through the API. What has to follow is what a mechanic does: common practice,
# no source.
RSpec.describe "A job changed while the brake is apart" do
  include JobHelper

  def begin_job(works, *data, retention: "nothing")
    complete
    know(front, ["rotor.retention", retention, nil]) if retention
    know(
      front,
      %w[bracket_bolt.torque 105 N·m],
      ["bracket_bolt.drive", "hex-18", nil],
      ["hose.fitting", "banjo", nil],
      %w[banjo_bolt.torque 30 N·m],
      ["parking_brake.kind", "none", nil],
      *data
    )
    scope(works)
    resolve_all
    ask(:patch, address, { state: "ready", because: "So be it" })
  end

  def scope(works)
    ask(:put, address("/scope"), { axles: { front.to_s => works }, reasons: { front.to_s => "So be it" } })
  end
  def keys(plan = ask(:get, address)) = plan["steps"].map { |each| each["key"] }
  def left
    plan = ask(:get, address)
    keys(plan) - plan["ticked"]
  end
  def rotor(side, values)
    { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: }
  end
  def vehicle = ask(:get, "/vehicles/#{car["id"]}")
  def approach(kind, option) = ask(:put, address("/approaches"), { approach: kind, option: })

  # Ticks what is left, in order, and finishes.
  def work_to_the_end
    left.each { |key| do_step(key) }
    finish(fitted: [])
  end

  it "refits rotor and bracket when the rotors stay after all" do
    begin_job(%w[pads rotors_new])
    tick_until("front.left.rotor_off")
    expect(ask(:get, address)["apart"]).to include(/\AFront left: .*the bracket is off.*the rotor is off/)
    expect(scope(%w[pads])["steps"]).not_to be_nil
    expect(left).to include(
      "front.left.rotor_as_it_was",
      "front.left.rotor_on",
      "front.left.bracket_on",
      "front.left.pads_in"
    )
    expect(left).not_to include("front.right.rotor_off")
    expect(fields(tick("front.left.corner_check"))).to eq("step" => "waits")
    expect(work_to_the_end["state"]).to eq("finished")
  end

  it "refits old pads and caliper when the pads are removed from the scope midway" do
    begin_job(%w[pads bleed])
    tick_until("front.left.pads_out")
    scope(%w[bleed])
    expect(left.index("front.left.pads_back")).to be < left.index("front.left.pin_bolts_in")
    expect(left.index("front.left.corner_check")).to be < left.index("front.left.bleed")
    expect(fields(tick("front.left.bleed"))).to eq("step" => "waits")
    expect(left.grep(/right\.pads/)).to be_empty
  end

  it "connects and bleeds an opened hose, whatever the scope becomes" do
    begin_job(%w[hose])
    tick_until("front.left.hose_off_banjo")
    scope(%w[clips])
    expect(left).to include("front.left.hose_on_banjo", "front.left.bleed")
    expect(left).not_to include("front.right.bleed")
  end

  it "closes an opened bleed screw and removes the clamp, whatever the approach becomes" do
    begin_job(%w[pads])
    approach("fluid_back", "clamp")
    ask(:patch, address, { state: "ready", because: "So be it" })
    tick_until("front.left.screw_open")
    approach("fluid_back", "reservoir")
    expect(left).to include("front.left.screw_closed", "front.left.hose_unclamped")
    expect(left).not_to include("front.right.screw_open", "front.right.hose_clamped")
  end

  it "ignores changed approaches and brake data once it has begun" do
    begin_job(%w[pads])
    approach("bracket", "off")
    ask(:patch, address, { state: "ready", because: "So be it" })
    tick_until("front.left.bracket_off")
    before = keys
    ask(:put, "/approaches", { bracket: "on", fluid_back: "clamp", nuts: "touching" })
    know(front, ["bracket.kind", "none", nil], ["hose.fitting", "pipe", nil])
    expect(keys).to eq(before)
    approach("bracket", "on")
    expect(left).to include("front.left.bracket_on")
    expect(left).not_to include("front.right.bracket_off")
  end

  it "ends service mode though the brake data now has no electric parking brake" do
    rear = car["axles"].last["id"]
    complete
    know(
      rear,
      ["caliper.kind", "floating_slide_pins", nil],
      ["parking_brake.kind", "electric", nil],
      %w[slide_pin_bolt.torque 28 N·m],
      %w[wheel_nut.torque 120 N·m]
    )
    @job = ask(:post, "/axles/#{rear}/jobs", { planned_for: "2026-05-23" })
    ask(:put, address("/scope"), { axles: { rear.to_s => %w[pads] }, reasons: { rear.to_s => "So" } })
    resolve_all
    ask(:patch, address, { state: "ready", because: "So be it" })
    tick_until("rear.service_mode")
    know(rear, ["parking_brake.kind", "none", nil])
    expect(left).to include("rear.motor_closed")
    ask(:put, address("/scope"), { axles: { rear.to_s => %w[inspect] }, reasons: {} })
    expect(left).to include("rear.motor_closed", "rear.lower")
  end

  # As databases of earlier versions have it.
  it "plans a job of an earlier version from its ticks" do
    begin_job(%w[pads rotors_new])
    done = keys.take_while { |key| key != "front.left.rotor_off" } << "front.left.rotor_off"
    old = [["in_progress", nil], *done.map { |key| ["ticked", key] }]
    old.each { |kind, value| context.store.jobs.record_event(job["id"], kind, value, at: "2026-05-16T08:00:00Z") }
    scope(%w[pads])
    expect(left).to include("front.left.rotor_on", "front.left.bracket_on")
    expect(ask(:get, address)["apart"]).to include(/the rotor is off/)
  end

  it "rejects removing work that one side has had" do
    begin_job(%w[pads])
    tick_until("front.left.pads_in")
    expect(fields(scope(%w[inspect]))).to eq("axles.#{front}" => "conflict")
    tick("front.left.pads_in", done: false)
    expect(scope(%w[inspect])["steps"]).not_to be_nil
  end

  it "requires the brake data the steps depend on" do
    begin_job(%w[pads], retention: nil)
    tick_until("front.left.pads_out")
    refused = scope(%w[pads rotors_new])
    expect([status, refused["error"]["fields"].first["message"]]).to match(
      [422, /enter .*rotor.* in the brake data first/i]
    )
    know(front, ["rotor.retention", "ring", nil])
    expect(keys(scope(%w[pads rotors_new]))).to include("front.left.ring_off")
  end

  it "says Stop while apart, also paused or cancelled, until it is together" do
    begin_job(%w[pads])
    tick_until("front.left.pads_out")
    expect(vehicle.dig("state", "severity")).to eq("stop")
    ask(:post, address("/pause"))
    expect(vehicle["follow_ups"].map { |each| each["text"] }).to contain_exactly(
      /is paused.*Front left: .*the pads are out/
    )
    expect(fields(ask(:patch, address, { state: "cancelled" }))).to eq("leave_apart" => "missing")
    ask(:patch, address, { state: "cancelled", leave_apart: true })
    expect(
      vehicle["follow_ups"].select { |each| each["closed_on"].nil? }.map { |each| each["text"] }
    ).to contain_exactly(/left the brake apart/)
    expect(vehicle.dig("state", "severity")).to eq("stop")
    other = ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-24" })
    refused = ask(:patch, "/jobs/#{other["id"]}", { state: "ready", because: "Go" })
    expect(refused["error"]["fields"].first["message"]).to include("left this brake apart")
    expect(fields(ask(:post, address("/together"), { because: " " }))).to eq("because" => "missing")
    expect(ask(:post, address("/together"), { because: "The garage did it" })["apart"]).to be_empty
    expect(vehicle["why"].to_s).not_to include("apart")
  end

  it "puts the brake back as it was, with the old parts" do
    begin_job(%w[pads rotors_new])
    tick_until("front.left.rotor_off")
    back = ask(:post, address("/put-back"))
    expect(back).to include("title" => /put back together/i, "undriven" => false)
    expect(left).to include("front.left.rotor_on", "front.left.pads_back", "front.left.bracket_on", "first_stops")
    expect(left.grep(/pads_in|right\.pads_out|piston|bed_in/)).to be_empty
    done = work_to_the_end
    expect([done["state"], done["apart"]]).to eq(["finished", []])
    expect(ask(:get, "/vehicles/#{car["id"]}")["log"].first["what"].to_s).not_to include("new pads")
  end

  it "ends undriven where only one side has new pads" do
    begin_job(%w[pads])
    tick_until("front.left.corner_check")
    back = ask(:post, address("/put-back"))
    expect(back).to include("undriven" => true, "stops" => include(/“New pads” is done on the left only/))
    expect(left.grep(/right\.(caliper|pads|piston|pin)|first_stops|bed_in/)).to be_empty
    left.each { |key| do_step(key) }
    expect(fields(finish)).to eq("do_not_drive" => "missing")
    expect(finish(do_not_drive: true)["state"]).to eq("finished")
    expect(vehicle["follow_ups"].map { |each| each["text"] }).to include(/left only/)
  end

  it "never lets a vehicle be driven on a rotor under its limit, whatever the job becomes" do
    begin_job(%w[pads])
    tick_until("front.left.read_rotor")
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", rotor("left", %w[22.8])))
    expect(fields(scope(%w[pads]))).to eq("axles.#{front}" => "rotor_must")
    expect(scope(%w[bleed])).to include("stops" => include(/Front rotors:/))
    left.take_while { |key| key != "first_stops" }.each { |key| do_step(key) }
    expect(fields(tick("first_stops"))).to eq("step" => "replan")
    expect(fields(finish)).to eq("do_not_drive" => "missing")
  end

  it "ends a condemning inspection undriven, with what to order" do
    begin_job(%w[inspect_rotor])
    tick_until("front.left.rotor_off")
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", rotor("left", %w[22.8])))
    plan = ask(:get, address)
    expect(plan).to include("halts" => [], "stops" => include(/Front rotors:/))
    tick_until("chocks_away")
    expect(fields(tick("first_stops"))).to eq("step" => "replan")
    expect(fields(finish)).to include("do_not_drive" => "missing")
    done = finish(do_not_drive: true)
    expect(done["closed"]["do_not_drive"]).to include(/Front rotors:/)
    expect(vehicle["follow_ups"].map { |each| each["text"] }).to include(
      /Do not drive.*Front rotors/,
      /Order: .*rotor/i
    )
    expect(vehicle.dig("state", "severity")).to eq("stop")
    # it is together: the job that puts it right can begin
    @job = ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-24" })
    scope(%w[pads rotors_new])
    resolve_all
    expect(ask(:patch, address, { state: "ready", because: "Rotors are here" })["state"]).to eq("ready")
  end

  # common practice, no source: ready makes no sound
  it "has a vehicle's own steps as soon as it is known to be electric" do
    complete
    ask(:patch, "/vehicles/#{car["id"]}", { drive: "electric" })
    steps = ask(:get, address)["steps"].to_h { |step| [step["key"], step] }
    expect(steps.keys).to include("front.power_off", "front.jacking_points", "ready_pedal").and(
      satisfy { |ids| !ids.include?("engine_pedal") }
    )
    expect(steps["front.pump"]["text"]).to include("with the vehicle switched off")
    expect(steps["front.power_off"]["cautions"].map { |each| each["severity"] }).to all(eq("danger"))
  end

  it "stops driving after a bad pedal check, and asks about earlier symptoms" do
    begin_job(%w[pads])
    ask(
      :post,
      inspections,
      inspection(ApiHelper::TODAY, "60000", conditions: [{ item: "symptom", mark: "sinking_pedal" }])
    )
    expect(ask(:get, address)["stops"]).to contain_exactly(/pedal sinks/)
    tick_until("level_after")
    expect(fields(tick("engine_pedal"))).to eq("answer" => "missing")
    answer = ->(id) { ask(:post, address("/answers"), { step: "engine_pedal", answer: id }) }
    expect(fields(answer["hard"])).to eq("answer" => "unknown_choice")
    expect(answer["spongy"]).to include(
      "stops" => include(/soft/),
      "ticked" => satisfy { |all| !all.include?("engine_pedal") }
    )
    expect(fields(tick("first_stops"))).to have_key("step")
    expect(answer["firm"]).to include("stops" => [], "ticked" => include("engine_pedal"))
    tick_until
    # after the first stops the owner says whether it is gone
    expect(fields(finish(symptoms: []))).to eq("symptoms.sinking_pedal" => "missing")
    expect(fields(finish(symptoms: [{ id: "sinking_pedal", gone: false }]))).to eq("do_not_drive" => "missing")
    finish(symptoms: [{ id: "sinking_pedal", gone: true }])
    expect(vehicle["seen"]).to be_empty
  end

  it "requires every bolt to be marked, or a reason where no wrench reaches" do
    begin_job(%w[pads])
    tick_until("front.left.springs_in") if keys.include?("front.left.springs_in")
    tick_until("front.left.pads_in")
    left.take_while { |key| key != "front.left.pin_bolts_in" }.each { |key| do_step(key) }
    refused = tick("front.left.pin_bolts_in")
    expect(fields(refused)).to eq("bolts.front.slide_pin_bolt" => "missing")
    expect(refused["error"]["fields"].first["message"]).to include("2 of 2 not marked")
    bolt = { step: "front.left.pin_bolts_in", axle: "front", fastener: "slide_pin_bolt" }
    torque = ->(**given) { ask(:post, address("/torques"), { **bolt, **given }) }
    torque[bolts: [1]]
    expect(fields(tick("front.left.pin_bolts_in"))).to eq("bolts.front.slide_pin_bolt" => "missing")
    expect(fields(torque[bolts: [2], felt: true, because: "."])).to eq("because" => "missing")
    felt = torque[bolts: [2], felt: true, because: "No room behind the spring"]
    expect(felt["torques"].last).to include("verdict" => "felt", "because" => "No room behind the spring")
    expect(tick("front.left.pin_bolts_in")["ticked"]).to include("front.left.pin_bolts_in")
    # loose after all: nothing that can kill is done over it
    torque[bolts: [1], reached: "20", unit: "N·m"]
    left.take_while { |key| key != "front.left.corner_check" }.each { |key| do_step(key) }
    expect(fields(tick("front.left.corner_check"))).to eq("bolts.front.slide_pin_bolt" => "missing")
    torque[bolts: [1], reached: "28", unit: "N·m"]
    expect(tick("front.left.corner_check")["ticked"]).to include("front.left.corner_check")
  end

  it "doesn't reuse a reason for another verdict" do
    begin_job(%w[pads])
    tick_until("front.left.pads_out")
    deep = { axle: front, side: "left", face: "inner", item: "rotor_face", mark: "grooved_deep" }
    thick = %w[left right].map { |side| rotor(side, %w[24.1 24.1 24.1 24.1]) }
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *thick, conditions: [deep]))
    # the reason of begin_job was given for another verdict
    expect(ask(:get, address)["halts"].map { |halt| halt["must"] }).to eq([false])
    metal = { axle: front, part: "pad", side: "left", pad: "inner", event: "metal" }
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60001", metal))
    expect(ask(:get, address)["halts"].map { |halt| halt["must"] }).to eq([true])
    expect(fields(scope(%w[pads]))).to eq("axles.#{front}" => "rotor_must")
  end
end
