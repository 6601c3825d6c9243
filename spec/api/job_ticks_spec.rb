# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "Steps of a job in progress in the API" do
  include JobHelper

  # common practice, no source: what a job may not do before what
  it "rejects an early tick and names what comes first" do
    complete
    resolve_all
    ask(:patch, address, { state: "ready" })
    %w[first_stops front.lower front.left.pin_bolts_in].each do |key|
      expect(fields(tick(key))).to eq({ "step" => "waits" }), key
    end
    tick_until("level_before")
    expect(fields(tick("front.crack_nuts"))).to eq("step" => "waits")
    expect(tick("front.lift")["error"]["fields"].first["message"]).to include(
      "First do “Park on level, solid ground” (front), then “Chock the wheels"
    )
    expect(step(ask(:get, address), "front.crack_nuts")).to include("waits_for" => %w[front.park front.chock])
    tick("front.park")
    expect(tick("front.chock")["ticked"]).to include("front.chock")
    expect(tick("front.crack_nuts")["waits_for"]).not_to include("front.lift")
    expect(step(ask(:get, address), "front.lift")).to include("waits_for" => [], "safety_critical" => true)
    # the other wheel may be taken off meanwhile; its own mandatory steps still come first
    tick_until("front.left.wheel_off")
    expect(tick("front.right.wheel_off")["ticked"]).to include("front.right.wheel_off")
    expect(fields(tick("front.right.pads_in"))).to eq("step" => "waits")
  end

  it "ticks a step group as a whole or not at all" do
    complete
    resolve_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.left.push_a_little")
    tick("front.left.push_a_little", done: false)
    expect(fields(tick("front.left.push_a_little", "front.left.pads_out"))).to eq("step" => "waits")
    expect(ask(:get, address)["ticked"]).not_to include("front.left.push_a_little")
    off = %w[push_a_little hook pin_bolts_out].map { |id| "front.left.#{id}" }
    expect(ask(:get, address)["steps"].select { |each| off.include?(each["key"]) }.map { |each| each["joins"] }).to eq(
      [false, true, true]
    )
    done = tick(*off)
    expect(done["ticked"]).to include(*off)
    expect(ask(:get, address("/progress"))).to eq(done)
    expect(tick(*off, done: false)["ticked"] & off).to be_empty
    expect(fields(tick)).to have_key("steps")
  end

  def read_pads(thickness, *axles)
    axles.flat_map do |axle|
      %w[left right].product(%w[inner outer]).map { |side, position| pad(thickness, side:, pad: position, axle:) }
    end
  end

  it "logs a deviation with its reason until resolved, never for a safety-critical step" do
    complete
    resolve_all
    ask(:patch, address, { state: "ready" })
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *sound_axles))
    other = ->(key, because) { ask(:post, address("/deviations"), { step: key, because: }) }
    tick_until("front.left.judge")
    expect(fields(other["front.left.hook", " "])).to eq("because" => "missing")
    expect(fields(other["front.star", "By feel"])).to eq("because" => "never")
    expect(fields(other["front.left.clean_gloves", "Bare hands"])).to eq("step" => "waits")
    kept = other["front.left.hook", "Tied up with wire"]
    expect(step(kept, "front.left.hook")).to include("deviation" => "Tied up with wire")
    expect(step(kept, "front.left.pin_bolts_out")["waits_for"]).not_to include("front.left.hook")
    vehicle = -> { ask(:get, "/vehicles/#{car["id"]}") }
    expect(vehicle.call["skipped"]).to contain_exactly(
      include("step" => "front.left.hook", "because" => "Tied up with wire")
    )
    # on its stands with a wheel off it is not driven, whatever else is known
    expect(vehicle.call).to include(
      "state" => include("severity" => "stop"),
      "why" => /\AFront: The brake is apart\..*Front left: the wheel is off/
    )
    tick_until
    tick("front.left.hook", done: false)
    other["front.left.hook", "Tied up with wire"]
    finish(fitted: [{ axle: front, part: "pad", value: "11" }])
    # brakes in order are looked at again while a step of theirs was not done as it should be
    expect(vehicle.call).to include(
      "state" => include("severity" => "watch"),
      "why" => "A step of a job was done differently."
    )
    ask(:post, address("/deviations/front.left.hook/resolution"))
    expect(vehicle.call).to include("skipped" => be_empty, "state" => include("severity" => "good"), "why" => nil)
    expect(fields(ask(:post, address("/deviations/front.left.hook/resolution")))).to eq("step" => "unknown_step")
    expect(fields(tick("front.left.hook"))).to eq("state" => "job_closed")
  end

  it "stops when a reading changes the work, replans and keeps what was done" do
    complete
    know(
      front,
      ["rotor.retention", "nothing", nil],
      %w[bracket_bolt.torque 105 N·m],
      ["bracket_bolt.drive", "hex-18", nil]
    )
    resolve_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.left.read_rotor")
    rotor =
      lambda do |side, value|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] }
      end
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", rotor["left", "22.80"], rotor["right", "24.10"]))
    halted = ask(:get, address)
    expect(halted["halts"]).to contain_exactly(
      include(
        "axle" => "front",
        "must" => true,
        "text" => /22\.80 mm.*at or under the discard thickness/,
        "works" => include("rotors_new"),
        "buy" => ["2 × Rotor"]
      )
    )
    # what lies on the shelf has not to be bought
    ask(:post, "/supplies", { kind: "part", item: "rotor", axle: front, name: "Spare pair", on_shelf: "2" })
    expect(ask(:get, address)["halts"].first["buy"]).to be_empty
    expect(tick("front.left.clean_lands")["ticked"]).to include("front.left.clean_lands")
    tick_until("front.left.deglaze")
    expect(fields(tick("front.left.piston_home"))).to eq("step" => "replan")
    expect(fields(finish)).to eq("state" => "replan")
    mended = ask(:put, address("/scope"), { axles: { front.to_s => halted["halts"].first["works"] } })
    expect(mended).to include(
      "state" => "in_progress",
      "halts" => [],
      "ticked" => include("front.left.pads_out", "front.left.judge")
    )
    expect(step(mended, "front.left.rotor_off")["waits_for"]).not_to be_empty
    tick_until
    expect(finish(fitted: [{ axle: front, part: "rotor", value: "25,0" }])["state"]).to eq("finished")
  end

  it "stops vehicle-wide steps too, and continues only for an allowed reason" do
    complete
    know(front, ["rotor.retention", "nothing", nil])
    resolve_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.lower")
    deep = { axle: front, side: "left", face: "inner", item: "rotor_face", mark: "grooved_deep" }
    rotors =
      %w[left right].map do |side|
        {
          axle: front,
          part: "rotor",
          side:,
          event: "reading",
          method: "micrometer",
          unit: "mm",
          values: %w[24.10 24.10 24.10 24.10]
        }
      end
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *rotors, conditions: [deep]))
    expect(ask(:get, address)["halts"]).to contain_exactly(
      include("must" => false, "text" => /deep grooves.*or give your reason/)
    )
    expect(%w[front.star level_after].map { |key| fields(tick(key)).slice("step") }).to include({ "step" => "replan" })
    if ask(
         :put,
         address("/scope"),
         { axles: { front.to_s => %w[pads clips sensors] }, reasons: { front.to_s => "The shop turns them next week" } }
       )[
         "halts"
       ] == []
      tick_until("front.hold")
    end
    expect(ask(:get, address)["ticked"]).to include("front.star")
    ask(
      :post,
      inspections,
      inspection(ApiHelper::TODAY, "60001", *rotors.map { |row| row.merge(values: %w[22.8], answer: "keep") })
    )
    expect(fields(tick("level_after"))).to eq("step" => "replan")
    expect(
      fields(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] }, reasons: { front.to_s => "No" } }))
    ).to eq("axles.#{front}" => "rotor_must")
  end

  # common practice, no source: one dead pad has a cause, and new pads die of it too
  it "asks at the pins about uneven wear, and nowhere else" do
    complete
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *all_pads("4", "8", "8", "8")))
    resolve_all
    ask(:patch, address, { state: "ready" })
    keys = ask(:get, address)["steps"].map { |each| each["key"] }
    keys.take_while { |key| key != "front.left.pins" }.each { |key| do_step(key) }
    refused = tick("front.left.pins")
    expect(fields(refused)).to eq("marks.slide_pins" => "missing")
    expect(refused["error"]["fields"].first["message"]).to include("Inner pad much thinner", "slide pins")
    seized = { axle: front, side: "left", item: "slide_pins", mark: "seized" }
    ask(
      :post,
      address("/readings"),
      { step: "front.left.pins", odometer: { value: "60000" }, readings: [], conditions: [seized] }
    )
    expect(tick("front.left.pins")["ticked"]).to include("front.left.pins")
    right = keys.drop(keys.index("front.left.pins") + 1).take_while { |key| key != "front.right.pins" }
    right.each { |key| do_step(key) }
    expect(tick("front.right.pins")["ticked"]).to include("front.right.pins")
  end
end
