# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "Jobs in the API" do
  include JobHelper

  it "lists open items with what to do" do
    unread = ask(:get, "/axles/#{front}/job-plan")
    expect(unread).to include("id" => nil, "state" => "proposed", "steps" => nil, "torque" => [], "ready" => false)
    expect(open_items(proposed)).to include("data:#{front}.caliper.kind")
    expect(unread["readiness"].map { |item| item["id"] }).to include("day:day")
    expect(proposed["readiness"].map { |item| item["id"] }).to include("wanted:#{front}.rotor.discard_thickness")
    expect(proposed["axles"].first["rotor"]["outcome"]).to eq("unmeasured")
    know(front, ["caliper.kind", "floating_slide_pins", nil])
    expect(open_items(ask(:get, address))).to include("torque:front.slide_pin_bolt", "torque:front.wheel_nut")
  end

  it "is complete when the data is" do
    complete
    expect(proposed["readiness"].map { |item| item["kind"] }).not_to include("data", "torque")
    pins, nuts = proposed["torque"]
    expect(pins).to include(
      "count" => 4,
      "newton_metres" => 28,
      "pound_feet" => 20.7,
      "drive" => "Hex head 13 mm",
      "single_use" => true
    )
    # NIST SP 811 B.8 (from memory): 88.5 x 1.355 818 = 119.99
    expect(nuts).to include("count" => 10, "newton_metres" => 120, "pound_feet" => 88.5, "star" => [1, 3, 5, 2, 4])
    expect(proposed["parts"].to_h { |part| [part["item"], part["count"]] }).to include(
      "pads" => 1,
      "single_use.slide_pin_bolt" => 4,
      "wear_sensor" => 1
    )
    expect(proposed["steps"].map { |step| step["key"] }).to include(
      "front.left.sensor_off",
      "front.right.pads_in",
      "front.pump"
    ).and(satisfy { |keys| !keys.include?("front.right.sensor_off") })
    expect(step(proposed, "front.pump")).to include(
      "mandatory" => true,
      "cautions" => [include("severity" => "danger")]
    )
  end

  it "shows the danger at a bolt with unknown torque" do
    complete
    know(front, ["wheel_nut.torque", nil, nil])
    expect(step(proposed, "front.star")["cautions"].map { |caution| caution["text"] }).to include(/No torque by feel/)
  end

  it "scopes rotors by verdict, otherwise only for a reason, and none below the limit" do
    complete
    know(front, ["rotor.retention", "nothing", nil])
    rotor =
      lambda do |side, value|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] }
      end
    expect(fields(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] } }))).to eq(
      "reasons.#{front}" => "missing"
    )
    mended =
      ask(
        :put,
        address("/scope"),
        { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Heat spots" } }
      )
    expect(mended["scope"]["axles"].first["rotors"]).to include("chosen" => "new", "reason" => "Heat spots")
    expect(mended["parts"].find { |part| part["item"] == "rotor" }["count"]).to eq(2)
    ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", rotor["left", "24.4"], rotor["right", "22.98"]))
    expect(ask(:get, "/axles/#{front}/job-plan")["title"]).to include("new rotors")
    expect(
      fields(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] }, reasons: { front.to_s => "Cheaper" } }))
    ).to eq("axles.#{front}" => "rotor_must")
  end

  it "never judges a rotor thicker than read, nor a new one by the old one's readings" do
    complete
    know(front, %w[rotor.new_thickness 25 mm])
    renewed = { axle: front, part: "rotor", event: "fit" }
    reading = {
      axle: front,
      part: "rotor",
      side: "left",
      event: "reading",
      method: "micrometer",
      unit: "mm",
      values: ["23.02"]
    }
    ask(:post, inspections, inspection("2026-01-10", "50000", renewed))
    ask(:post, inspections, inspection("2026-05-01", "54000", reading.merge(answer: "keep")))
    left =
      lambda do
        ask(:get, "/axles/#{front}/job-plan")["axles"].first["rotor"]["sides"].find { |side| side["side"] == "left" }
      end
    expect(left.call).to include("outcome" => "measure_again", "sentence" => /23\.02 mm is too close to the discard/)
    ask(:post, inspections, inspection("2026-05-10", "54100", renewed))
    expect(left.call["outcome"]).to eq("stay")
  end

  it "rejects impossible scopes" do
    complete
    refused = ->(works, axle: front) { fields(ask(:put, address("/scope"), { axles: { axle.to_s => works } })) }
    expect(refused.call(%w[inspect pads])).to eq("axles.#{front}" => "conflict")
    expect(refused.call(%w[shoes])).to eq("axles.#{front}" => "unknown_work")
    expect(refused.call(%w[dance])).to eq("axles.#{front}" => "unknown_work")
    expect(refused.call([])).to eq("axles" => "empty")
    expect(refused.call(%w[pads], axle: 999)).to eq("axles.999" => "unknown_axle")
    expect(fields(ask(:put, address("/scope"), { axles: { "x" => "pads" } }))).to eq("axles" => "invalid")
  end

  it "becomes ready when nothing is open, or for a reason" do
    complete
    expect(fields(tick("front.shake"))).to eq("state" => "not_ready")
    expect(tick("settle")).to include("state" => "draft", "ticked" => ["settle"])
    expect(fields(ask(:patch, address, { state: "ready" }))).to eq("because" => "not_ready")
    resolve_all
    expect(ask(:patch, address, { state: "ready" })).to include(
      "state" => "ready",
      "ready" => true,
      "ready_because" => nil
    )
    tick_until("front.park")
    expect(ask(:get, address)["state"]).to eq("in_progress")
    other = pad_job(planned_for: nil)
    expect(ask(:patch, "/jobs/#{other["id"]}", { state: "ready", because: "A friend brings the rest" })).to include(
      "state" => "ready",
      "ready_because" => "A friend brings the rest"
    )
  end

  it "becomes a draft again when its scope changes" do
    complete
    resolve_all
    ask(:patch, address, { state: "ready" })
    expect(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] } })["state"]).to eq("draft")
  end

  it "asks again when a confirmed torque changes" do
    complete
    know(front, %w[wheel_nut.torque 12 N·m])
    ask(:post, address("/resolved"), { item: "doubt:front.wheel_nut.12", done: true })
    expect(open_items(ask(:get, address))).not_to include("doubt:front.wheel_nut.12")
    know(front, %w[wheel_nut.torque 13 N·m])
    expect(open_items(ask(:get, address))).to include("doubt:front.wheel_nut.13")
  end

  it "finishes a job, but not past an open mandatory step, and uses its hours for the next" do
    complete
    usual = job["money"]["hours"]
    ask(:post, "/supplies", { kind: "part", item: "pads", axle: front, name: "Plain", number: "P-1", on_shelf: "2" })
    resolve_all
    ask(:patch, address, { state: "ready" })
    expect(fields(tick("dance"))).to eq("step" => "unknown_step")
    open = finish["error"]["fields"]
    expect(open.map { |fault| fault["code"] }.uniq).to eq(["mandatory_open"])
    expect(open.map { |fault| fault["field"] }).to include(
      "steps.settle",
      "steps.front.chock",
      "steps.front.left.pin_bolts_in",
      "steps.first_stops"
    )
    tick_until
    expect(%w[200.5 0.05].map { |hours| fields(finish(hours:)) }).to all(include("hours" => "out_of_range"))
    expect(fields(finish(hours: "200", odometer: { value: "many" }))).to eq("odometer.value" => "not_a_number")
    expect(fields(finish(hours: "900", odometer: { value: "many" }))).to eq(
      "hours" => "out_of_range",
      "odometer.value" => "not_a_number"
    )
    done = finish(hours: "4", spent: "61,50")
    expect(done).to include(
      "state" => "finished",
      "closed" =>
        include("hours" => 4.0, "spent" => 61.5, "parts" => ["1 × Set of pads for the whole axle (4 pads): Plain, P-1"])
    )
    again = pad_job
    expect(again["parts"].first["supplies"].first["on_shelf"]).to eq("1")
    expect(ask(:get, "/vehicles/#{car["id"]}")["jobs_done"]).to contain_exactly(
      include("what" => "Front: new pads, new abutment clips, new wear sensors", "hours" => 4.0)
    )
    closed = tick("settle", done: false)
    expect(fields(closed)).to eq("state" => "job_closed")
    expect(closed["error"]["fields"].first["message"]).to eq("This job is finished.")
    later = again["money"]
    expect(later).to include("spent" => 61.5, "hours" => include("jobs" => 1))
    expect(later["hours"]["low"]).to be > usual["low"]
  end

  it "uses miles for a mile vehicle, and the same hours everywhere" do
    complete
    expect(step(proposed, "bed_in")["text"]).to include("from 40 to 50 km/h")
    ask(:patch, "/vehicles/#{car["id"]}", { distance_unit: "mi" })
    plan = ask(:get, address)
    expect([step(plan, "bed_in")["text"], step(plan, "front.retorque") || step(plan, "retorque")["text"]]).to match(
      [/from 25 to 30 mph/, /after 50 to 100 mi/]
    )
    expect(plan["steps"].map { |each| each["text"] }.join).not_to match(/\{|\d km\b/)
    expect(plan["money"]["hours"]["said"]).to eq("1 to 2 h")
  end

  it "restores a cancelled job unchanged" do
    complete
    resolve_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.chock")
    expect(fields(ask(:patch, address, { state: "cancelled" }))).to eq("leave_apart" => "missing")
    expect(ask(:patch, address, { state: "cancelled", leave_apart: true })["state"]).to eq("cancelled")
    expect(ask(:post, address("/restore"))).to include("state" => "in_progress", "ticked" => include("front.chock"))
    expect(fields(ask(:post, address("/restore")))).to eq("state" => "not_cancelled")
  end

  it "keeps notes at a step for next time" do
    complete
    expect(
      step(
        ask(:post, address("/notes"), { step: "front.left.judge", text: "The lower bolt is the longer one" }),
        "front.left.judge"
      )[
        "notes"
      ].first[
        "text"
      ]
    ).to include("longer")
    expect(fields(ask(:post, address("/notes"), { step: "front.left.judge", text: " " }))).to eq("text" => "missing")
    later = pad_job(planned_for: nil)
    expect(step(later, "front.left.judge")).to include("notes" => [], "last_time" => [include("text" => /longer/)])
  end

  it "inserts, moves and leaves out steps as far as the order allows" do
    complete
    added =
      ask(:post, address("/plan-edits"), { action: "insert", after: "front.left.judge", text: "Photograph the clip" })
    own = added["steps"].find { |step| step["own"] }
    expect(own).to include("text" => "Photograph the clip", "place" => "front left", "mandatory" => false)
    expect(fields(ask(:post, address("/plan-edits"), { action: "drop", key: "front.pump" }))).to eq(
      "key" => "breaks_order"
    )
    early = ask(:post, address("/plan-edits"), { action: "move", key: "front.pump", after: "front.left.pads_out" })
    expect(early["error"]["fields"].first["message"]).to match(
      /must not happen while the caliper is undone|requires that/
    )
    dropped = ask(:post, address("/plan-edits"), { action: "drop", key: "bed_in" })
    expect(dropped["dropped"].map { |step| step["key"] }).to eq(["bed_in"])
    expect(ask(:delete, address("/plan-edits/#{dropped["dropped"].first["event"]}"))["dropped"]).to be_empty
    expect(fields(ask(:post, address("/plan-edits"), { action: "insert", after: nil, text: "" }))).to eq(
      "text" => "missing"
    )
    ask(:delete, address("/plan-edits/#{own["event"]}"))
    expect(ask(:get, address)["steps"].none? { |step| step["own"] }).to be(true)
    ask(:post, address("/plan-edits"), { action: "insert", after: "front.left.hook", text: "Count the shims" })
    inspected = ask(:put, address("/scope"), { axles: { front.to_s => %w[inspect] } })
    expect(inspected["set_aside"]).to contain_exactly(
      include("text" => "“Count the shims” no longer has a place: the step it refers to isn't in this job")
    )
    ask(:delete, address("/plan-edits/#{inspected["set_aside"].first["event"]}"))
    ask(:delete, address("/plan-edits/99999"))
    expect(status).to eq(404)
  end

  it "offers what is due soon, and the fluid, in the same session" do
    complete
    ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", { date: "2023-01-10", odometer: { value: "20000" } })
    offer = ask(:get, "/axles/#{front}/job-plan")["scope"]["offers"].find { |each| each["text"].include?("fluid") }
    expect(offer["adds"].map { |each| each["works"] }).to all(include("bleed"))
    expect(offer["text"]).to include("overdue since 10 Jan 2025")
    rear = car["axles"].last["id"]
    know(rear, ["caliper.kind", "floating_slide_pins", nil], ["parking_brake.kind", "cable", nil])
    # nothing was read: what is offered with the fluid is the fluid
    plan = ask(:put, address("/scope"), { axles: offer["adds"].to_h { |each| [each["axle_id"].to_s, each["works"]] } })
    expect(plan["fluid"]).to include(
      "bleeds" => true,
      "order" => ["rear right", "rear left", "front right", "front left"],
      "needed_ml" => 1000,
      "bottles_ml" => [1000]
    )
    expect(plan["steps"].map { |step| step["key"] }).to include("both.lift_both", "rear.left.bleed")
    expect(open_items(plan)).to include("grade:fluid")
  end

  it "offers fluid that is due soon, not earlier" do
    complete
    offered =
      lambda do |day|
        @context = @car = nil
        ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", { date: day, odometer: { value: "20000" } })
        ask(:get, "/axles/#{front}/job-plan")["scope"]["offers"].map { |each| each["text"] }.grep(/fluid/)
      end
    expect(offered["2024-05-20"]).to match([/due on 20 May 2026/])
    expect(offered["2025-05-20"]).to be_empty
  end

  it "rejects a past or invalid day" do
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-15" }))).to eq(
      "planned_for" => "out_of_range"
    )
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "Saturday" }))).to eq("planned_for" => "not_a_day")
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "9999-01-01" }))).to eq(
      "planned_for" => "out_of_range"
    )
  end

  # pi/4 x 38^2 mm2 = 11.34 cm2; 3 mm a pad, two pads, two pistons: 13.6 ml come back into 10 ml of room, 9 of them used
  it "shows the values a step needs" do
    rear = car["axles"].last["id"]
    know(
      rear,
      ["caliper.kind", "floating_slide_pins", nil],
      ["parking_brake.kind", "cable", nil],
      %w[parking_brake.turns mirrored],
      %w[parking_brake.lever_gap_most 1.5 mm],
      ["parking_brake.clicks_least", "4", nil],
      %w[pad.new_thickness 11 mm],
      ["caliper.piston_count", "1", nil],
      %w[caliper.piston_diameter 38 mm],
      %w[fluid.reservoir_volume 100 ml]
    )
    level = { item: "fluid_level", value: "0.9" }
    ask(
      :post,
      inspections,
      inspection(ApiHelper::TODAY, "60000", *all_pads("8", "8", "8", "8", axle: rear), conditions: [level])
    )
    values = ->(plan, key) { step(plan, key)["values"].to_h { |each| each.values_at("label", "value") } }
    plan = pad_job(rear)
    expect(values[plan, "rear.left.piston_wound"]).to eq(
      "Piston wind-in direction" => "Clockwise right, anticlockwise left"
    )
    expect(values[plan, "rear.cable_set"].values).to eq(["1.5 mm", "4"])
    expect(values[plan, "level_before"]["Draw off first"]).to match(/\Aabout \d+ ml \(0\.\d fl oz\)\z/)
    know(rear, ["fluid.reservoir_volume", nil, nil])
    expect(values[ask(:get, "/jobs/#{plan["id"]}"), "level_before"]["Draw off first"]).to include("unknown")
  end
end
