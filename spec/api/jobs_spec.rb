# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Jobs in the API" do
  include ApiHelper

  let(:proposed) { ask(:get, "/axles/#{front}/job-plan") }

  def complete
    know(front, ["caliper.kind", "floating_slide_pins", nil], ["slide_pin_bolt.torque", "28", "N·m"], ["slide_pin_bolt.drive", "hex-13", nil], ["slide_pin_bolt.single_use", "once", nil],
         ["wheel_nut.torque", "88.5", "lbf·ft"], ["wheel_nut.drive", "hex-17", nil], ["wheel_nut.count", "5", nil], ["rotor.discard_thickness", "23", "mm"], ["wear_sensor", "left", nil])
  end

  def job(**given) = @job ||= ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-23", **given })
  def address(path = "") = "/jobs/#{job["id"]}#{path}"
  def open_items(plan) = plan["readiness"].select { |item| item["blocks"] && !item["settled"] }.map { |item| item["id"] }
  def settle_all(plan = ask(:get, address)) = open_items(plan).each { |item| ask(:post, address("/settled"), { item:, done: true }) }
  def tick(key, done: true) = ask(:post, address("/ticks"), { step: key, done: })

  # Ticks off everything up to a step, this one too.
  def tick_until(last = nil)
    keys = ask(:get, address)["steps"].map { |step| step["key"] }
    ticks = Graver::Service::JobTicks.new(context)
    keys.take(last ? keys.index(last) + 1 : keys.length).each { |key| ticks.tick(job["id"], key, true) }
  end

  def finish(**given) = ask(:post, address("/finish"), { odometer: { value: "60000" }, **given })
  def step(plan, key) = plan["steps"].find { |each| each["key"] == key }

  it "says what is missing and what to do about it before anything else" do
    expect(proposed).to include("id" => nil, "state" => "proposed", "steps" => nil, "torque" => [], "ready" => false)
    expect(open_items(proposed)).to include("data:#{front}.rotor.discard_thickness", "data:#{front}.caliper.kind", "day:day")
    expect(proposed["axles"].first["rotor"]["outcome"]).to eq("unmeasured")
    know(front, ["caliper.kind", "floating_slide_pins", nil])
    expect(open_items(ask(:get, "/axles/#{front}/job-plan"))).to include("torque:front.slide_pin_bolt", "torque:front.wheel_nut", "data:#{front}.wheel_nut.drive",
                                                                         "data:#{front}.wheel_nut.count")
  end

  it "is whole when the data are" do
    complete
    expect(proposed["readiness"].map { |item| item["kind"] }).not_to include("data", "torque")
    pins, nuts = proposed["torque"]
    expect(pins).to include("count" => 4, "newton_metres" => 28, "pound_feet" => 20.7, "drive" => "Hex head 13 mm", "single_use" => true)
    # NIST SP 811 B.8 (from memory): 88.5 x 1.355 818 = 119.99
    expect(nuts).to include("count" => 10, "newton_metres" => 120, "pound_feet" => 88.5, "star" => [1, 3, 5, 2, 4])
    expect(proposed["parts"].to_h { |part| [part["item"], part["count"]] }).to include("pads" => 1, "single_use.slide_pin_bolt" => 4, "wear_sensor" => 1)
    expect(proposed["steps"].map { |step| step["key"] }).to include("front.left.sensor_off", "front.right.pads_in",
                                                                    "front.pump").and(satisfy { |keys| !keys.include?("front.right.sensor_off") })
    expect(step(proposed, "front.pump")).to include("gate" => true, "cautions" => [include("severity" => "danger")])
  end

  it "puts the danger at the bolt whose torque is not known" do
    complete
    know(front, ["wheel_nut.torque", nil, nil])
    expect(step(proposed, "front.star")["cautions"].map { |caution| caution["text"] }).to include(/No torque by feel/)
  end

  it "takes rotors into the scope by their verdict, and others only for a reason; below the limit there is none" do
    complete
    know(front, ["rotor.retention", "nothing", nil])
    rotor = ->(side, value) { { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] } }
    expect(fields(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] } }))).to eq("reasons.#{front}" => "missing")
    mended = ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Heat spots" } })
    expect(mended["scope"]["axles"].first["rotors"]).to include("chosen" => "new", "reason" => "Heat spots")
    expect(mended["parts"].find { |part| part["item"] == "rotor" }["count"]).to eq(2)
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", rotor["left", "24.4"], rotor["right", "22.98"]))
    expect(ask(:get, "/axles/#{front}/job-plan")["title"]).to include("new rotors")
    expect(fields(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] }, reasons: { front.to_s => "Cheaper" } }))).to eq("axles.#{front}" => "rotor_must")
  end

  it "never judges a rotor thicker than it was read, and a new one not by the old one's readings" do
    complete
    know(front, ["rotor.new_thickness", "25", "mm"])
    renewed = { axle: front, part: "rotor", event: "fit" }
    reading = { axle: front, part: "rotor", side: "left", event: "reading", method: "micrometer", unit: "mm", values: ["23.02"] }
    ask(:post, look_overs, look_over("2026-01-10", "50000", renewed))
    ask(:post, look_overs, look_over("2026-05-01", "54000", reading.merge(answer: "keep")))
    left = -> { ask(:get, "/axles/#{front}/job-plan")["axles"].first["rotor"]["sides"].find { |side| side["side"] == "left" } }
    expect(left.call).to include("outcome" => "measure_again", "sentence" => /23\.02 mm is within the error/)
    ask(:post, look_overs, look_over("2026-05-10", "54100", renewed))
    expect(left.call["outcome"]).to eq("stay")
  end

  it "refuses scopes that cannot be" do
    complete
    refused = ->(works, axle: front) { fields(ask(:put, address("/scope"), { axles: { axle.to_s => works } })) }
    expect(refused.call(%w[inspect pads])).to eq("axles.#{front}" => "conflict")
    expect(refused.call(%w[shoes])).to eq("axles.#{front}" => "unknown_work")
    expect(refused.call(%w[dance])).to eq("axles.#{front}" => "unknown_work")
    expect(refused.call([])).to eq("axles" => "empty")
    expect(refused.call(%w[pads], axle: 999)).to eq("axles.999" => "unknown_axle")
    expect(fields(ask(:put, address("/scope"), { axles: { "x" => "pads" } }))).to eq("axles" => "invalid")
  end

  it "goes from draft to ready only when nothing is open, or for a reason" do
    complete
    expect(fields(tick("front.shake"))).to eq("state" => "not_ready")
    expect(tick("settle")).to include("state" => "draft", "ticked" => ["settle"])
    expect(fields(ask(:patch, address, { state: "ready" }))).to eq("because" => "not_ready")
    settle_all
    expect(ask(:patch, address, { state: "ready" })).to include("state" => "ready", "ready" => true, "ready_because" => nil)
    tick_until("front.park")
    expect(ask(:get, address)["state"]).to eq("started")
    other = ask(:post, "/axles/#{front}/jobs", {})
    expect(ask(:patch, "/jobs/#{other["id"]}", { state: "ready", because: "A friend brings the rest" })).to include("state" => "ready", "ready_because" => "A friend brings the rest")
  end

  it "is a draft again when something else is to be done" do
    complete
    settle_all
    ask(:patch, address, { state: "ready" })
    expect(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] } })["state"]).to eq("draft")
  end

  it "asks again about a doubtful torque once it is another one" do
    complete
    know(front, ["wheel_nut.torque", "12", "N·m"])
    ask(:post, address("/settled"), { item: "doubt:front.wheel_nut.12", done: true })
    expect(open_items(ask(:get, address))).not_to include("doubt:front.wheel_nut.12")
    know(front, ["wheel_nut.torque", "13", "N·m"])
    expect(open_items(ask(:get, address))).to include("doubt:front.wheel_nut.13")
  end

  it "ticks and finishes a job, but not past an open gate, and counts its hours for the next" do
    complete
    usual = job["money"]["hours"]
    ask(:post, "/supplies", { kind: "part", item: "pads", axle: front, name: "Plain", number: "P-1", on_shelf: "2" })
    settle_all
    ask(:patch, address, { state: "ready" })
    expect(fields(tick("dance"))).to eq("step" => "unknown_step")
    open = finish["error"]["fields"]
    expect(open.map { |fault| fault["code"] }.uniq).to eq(["gate_open"])
    expect(open.map { |fault| fault["field"] }).to include("steps.settle", "steps.front.chock", "steps.front.left.pin_bolts_in", "steps.first_stops")
    tick_until
    expect(fields(finish(hours: "900", odometer: { value: "many" }))).to eq("hours" => "out_of_range", "odometer.value" => "not_a_number")
    done = finish(hours: "4", spent: "61,50")
    expect(done).to include("state" => "finished", "closed" => include("hours" => 4.0, "spent" => 61.5, "parts" => ["1 × Set of pads for the whole axle (4 pads): Plain, P-1"]))
    expect(ask(:get, "/axles/#{front}/job-plan")["parts"].first["supplies"].first["on_shelf"]).to eq("1")
    expect(ask(:get, "/vehicles/#{car["id"]}")["jobs_done"]).to contain_exactly(include("what" => "Front: new pads, new abutment clips, new wear sensors", "hours" => 4.0))
    expect(fields(tick("settle", done: false))).to eq("state" => "job_closed")
    later = ask(:get, "/axles/#{front}/job-plan")["money"]
    expect(later).to include("spent" => 61.5, "hours" => include("jobs" => 1))
    expect(later["hours"]["low"]).to be > usual["low"]
  end

  # common practice, no source: what a job may not do before what
  it "refuses a tick that waits, and says for what" do
    complete
    settle_all
    ask(:patch, address, { state: "ready" })
    %w[first_stops front.lower front.left.pin_bolts_in].each do |key|
      expect(fields(tick(key))).to eq({ "step" => "waits" }), key
    end
    tick_until("level_before")
    expect(fields(tick("front.crack_nuts"))).to eq("step" => "waits")
    expect(tick("front.lift")["error"]["fields"].first["message"]).to include("first comes “Level, solid ground” (front), then “Chock the wheels")
    expect(step(ask(:get, address), "front.crack_nuts")).to include("waits_for" => %w[front.park front.chock])
    tick("front.park")
    expect(tick("front.chock")["ticked"]).to include("front.chock")
    expect(step(tick("front.crack_nuts"), "front.lift")).to include("waits_for" => [], "kills" => true)
    # the other wheel may be taken off meanwhile; its own gates come first all the same
    tick_until("front.left.wheel_off")
    expect(tick("front.right.wheel_off")["ticked"]).to include("front.right.wheel_off")
    expect(fields(tick("front.right.pads_in"))).to eq("step" => "waits")
  end

  it "takes a reason for a step done another way, keeps it on job and vehicle until it is made good, and never for what kills" do
    complete
    settle_all
    ask(:patch, address, { state: "ready" })
    axles = [front, car["axles"].last["id"]]
    read = axles.flat_map { |axle| %w[left right].product(%w[inner outer]).map { |side, position| pad("9", side:, pad: position, axle:) } }
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", *read))
    other = ->(key, because) { ask(:post, address("/otherwise"), { step: key, because: }) }
    tick_until("front.left.judge")
    expect(fields(other["front.left.hook", " "])).to eq("because" => "missing")
    expect(fields(other["front.star", "By feel"])).to eq("because" => "never")
    expect(fields(other["front.left.clean_gloves", "Bare hands"])).to eq("step" => "waits")
    kept = other["front.left.hook", "Tied up with wire"]
    expect(step(kept, "front.left.hook")).to include("otherwise" => "Tied up with wire")
    expect(step(kept, "front.left.pin_bolts_out")["waits_for"]).not_to include("front.left.hook")
    vehicle = -> { ask(:get, "/vehicles/#{car["id"]}") }
    expect(vehicle.call["skipped"]).to contain_exactly(include("step" => "front.left.hook", "because" => "Tied up with wire"))
    # brakes in order are looked at again while a step of theirs was not done as it should be
    expect(vehicle.call).to include("state" => include("word" => "watch"), "why" => "A step of a job was done another way.")
    ask(:post, address("/cleared"), { step: "front.left.hook" })
    expect(vehicle.call).to include("skipped" => be_empty, "state" => include("word" => "in_hand"), "why" => nil)
    expect(fields(ask(:post, address("/cleared"), { step: "front.left.hook" }))).to eq("step" => "unknown_step")
    expect(step(tick("front.left.hook"), "front.left.hook")["otherwise"]).to be_nil
  end

  it "stops where a reading changes what has to be done, plans anew, and keeps what was done" do
    complete
    know(front, ["rotor.retention", "nothing", nil], ["bracket_bolt.torque", "105", "N·m"], ["bracket_bolt.drive", "hex-18", nil])
    settle_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.left.read_rotor")
    rotor = ->(side, value) { { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] } }
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", rotor["left", "22.80"], rotor["right", "24.10"]))
    halted = ask(:get, address)
    expect(halted["halts"]).to contain_exactly(include("axle" => "front", "must" => true, "text" => /22\.80 mm.*at or under the discard thickness/, "works" => include("rotors_new"),
                                                       "buy" => ["2 × Rotor"]))
    # what lies on the shelf has not to be bought
    ask(:post, "/supplies", { kind: "part", item: "rotor", axle: front, name: "Spare pair", on_shelf: "2" })
    expect(ask(:get, address)["halts"].first["buy"]).to be_empty
    expect(tick("front.left.clean_lands")["ticked"]).to include("front.left.clean_lands")
    tick_until("front.left.deglaze")
    expect(fields(tick("front.left.clips_new"))).to eq("step" => "replan")
    expect(fields(finish)).to eq("state" => "replan")
    mended = ask(:put, address("/scope"), { axles: { front.to_s => halted["halts"].first["works"] } })
    expect(mended).to include("state" => "started", "halts" => [], "ticked" => include("front.left.pads_out", "front.left.read_rotor"))
    expect(step(mended, "front.left.rotor_off")["waits_for"]).not_to be_empty
    tick_until
    expect(finish(fitted: [{ axle: front, part: "rotor", value: "25,0" }])["state"]).to eq("finished")
  end

  it "stops what is done for the whole vehicle too, and goes on as planned only for a reason the verdict allows" do
    complete
    know(front, ["rotor.retention", "nothing", nil])
    settle_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.lower")
    deep = { axle: front, side: "left", face: "inner", item: "rotor_face", mark: "grooved_deep" }
    rotors = %w[left right].map { |side| { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: %w[24.10 24.10 24.10 24.10] } }
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", *rotors, conditions: [deep]))
    expect(ask(:get, address)["halts"]).to contain_exactly(include("must" => false, "text" => /deep grooves.*or say why not/))
    expect(%w[front.star level_after].map { |key| fields(tick(key)).slice("step") }).to include({ "step" => "replan" })
    tick_until("front.hold") if ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] }, reasons: { front.to_s => "The shop turns them next week" } })["halts"] == []
    expect(ask(:get, address)["ticked"]).to include("front.star")
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60001", *rotors.map { |row| row.merge(values: %w[22.8], answer: "keep") }))
    expect(fields(tick("level_after"))).to eq("step" => "replan")
    expect(fields(ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] }, reasons: { front.to_s => "No" } }))).to eq("axles.#{front}" => "rotor_must")
  end

  describe "a worn axle whose job is done" do
    let(:fitted) { [{ axle: front, part: "pad", value: "11.4" }, { axle: front, part: "rotor", value: "25.02" }] }

    before do
      complete
      know(front, ["rotor.retention", "nothing", nil], ["rotor.new_thickness", "25", "mm"], ["bracket_bolt.torque", "105", "N·m"], ["bracket_bolt.drive", "hex-18", nil])
      know(front, ["fluid.grade", "dot_4", nil], ["rotor.diameter", "288", "mm"], ["rotor.kind", "vented", nil], ["bleed_screw.torque", "10", "N·m"], ["bleed_screw.drive", "hex-11", nil])
      worn = %w[left right].product(%w[inner outer]).map { |side, position| pad("2.6", side:, pad: position) }
      rotors = %w[left right].map { |side| { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["22.9"] } }
      ask(:post, look_overs, look_over("2023-05-10", "20000", { axle: front, part: "pad", event: "fit" }))
      seen = [{ axle: front, side: "left", item: "slide_pins", mark: "seized" }, { item: "symptom", mark: "grinding" }, { item: "symptom", mark: "pulls" }]
      ask(:post, look_overs, look_over("2026-05-10", "59900", *worn, *rotors, conditions: seen))
      ask(:post, "/supplies", { kind: "part", item: "pads", axle: front, name: "Plain", thickness: "11.5", unit: "mm", on_shelf: "1", price: "40" })
      ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new bleed] } })
      settle_all
      ask(:patch, address, { state: "ready" })
      tick_until
    end

    it "offers the thickness of what was bought, refuses what is not one, and keeps the estimate and the old set's life" do
      expect(job["fits"]).to contain_exactly(include("part" => "pad", "value" => "11.5", "unit" => "mm"), include("part" => "rotor", "value" => "25"))
      estimate = ask(:get, address)["money"]
      expect(fields(finish(odometer: { value: "50000" }, fitted: [{ axle: front, part: "pad", value: "2.9" }, { axle: front, part: "rotor", value: "thick" }])))
        .to eq("odometer.value" => "runs_back", "fitted.#{front}.pad" => "too_thin", "fitted.#{front}.rotor" => "not_a_number")
      done = finish(fitted:)
      expect(done["closed"]["sets"]).to include({ "axle" => "front", "part" => "pad", "life_km" => 40_000, "last_mm" => 2.6, "last_on" => "2026-05-10" })
      expect(done["money"].slice("parts", "total", "unpriced", "hours")).to eq(estimate.slice("parts", "total", "unpriced", "hours"))
    end

    # common practice, no source: what a pad and rotor job leaves behind
    it "goes into the log: new sets, marks answered, follow-ups" do
      done = finish(fitted:)
      vehicle = ask(:get, "/vehicles/#{car["id"]}")
      expect(vehicle["axles"].first["state"]["word"]).not_to match(/plan|stop/)
      expect(vehicle["fluid"]["renewed_on"]).to eq(ApiHelper::TODAY)
      expect(vehicle["seen"].map { |mark| mark["text"] }).to eq(["noticed on the road: pulls to a side"])
      expect(ask(:get, "/vehicles/#{car["id"]}/findings")["findings"].map { |each| each["rule"] }).to eq(["seen-symptom-pulls"])
      expect(ask(:get, "/axles/#{front}/job-plan")["axles"].first["rotor"]["outcome"]).to eq("stay")
      logged = ask(:get, "/look-overs/#{done["closed"]["look_over"]}")
      expect(logged["readings"].map { |row| row["event"] }).to include("fit", "renewed", "answered", "freed")
      expect(logged["readings"].map { |row| row["label"] }).to include("front left slide pins: seized")
      expect(ask(:get, "/vehicles/#{car["id"]}/road")["events"].map { |event| event["kind"] }).to include("retorque", "first_reading")
    end

    it "frees the pins only where the work reached them, and says nothing of fluid that was not renewed" do
      ask(:put, address("/scope"), { axles: { front.to_s => %w[inspect] }, reasons: { front.to_s => "Only to see" } })
      tick_until
      rows = ask(:get, "/look-overs/#{finish["closed"]["look_over"]}")["readings"]
      expect(rows.map { |row| row["event"] } & %w[freed renewed fit]).to be_empty
      expect(ask(:get, "/vehicles/#{car["id"]}/findings")["findings"].map { |each| each["rule"] }).to include(/slide_pins-seized/)
    end
  end

  describe "a job on both axles" do
    let(:rear) { car["axles"].last["id"] }
    let(:both) { [front, rear].to_h { |axle| [axle.to_s, %w[pads]] } }

    before do
      complete
      know(rear, ["caliper.kind", "floating_slide_pins", nil], ["parking_brake.kind", "cable", nil], ["slide_pin_bolt.torque", "28", "N·m"], ["slide_pin_bolt.drive", "hex-13", nil],
           ["wheel_nut.torque", "120", "N·m"], ["wheel_nut.drive", "hex-17", nil], ["wheel_nut.count", "5", nil], ["wear_sensor", "none", nil], ["rotor.discard_thickness", "8", "mm"])
      ask(:put, address("/scope"), { axles: both })
      settle_all
      ask(:patch, address, { state: "ready", because: "All is there" })
    end

    it "asks for the new thickness of each axle, and ends the sets of both" do
      expect(job["fits"].length).to eq(1)
      expect(ask(:get, address)["fits"].map { |fit| [fit["axle_id"], fit["part"]] }).to eq([[front, "pad"], [rear, "pad"]])
      tick_until
      done = finish(fitted: [{ axle: front, part: "pad", value: "11.4" }, { axle: rear, part: "pad", value: "3/8", unit: "in" }])
      expect(done["closed"]["sets"].map { |set| set.values_at("axle", "part", "life_km", "last_mm") }).to eq([["front", "pad", nil, nil], ["rear", "pad", nil, nil]])
      rows = ask(:get, "/look-overs/#{done["closed"]["look_over"]}")["readings"]
      expect(rows.map { |row| row.values_at("event", "value", "unit") }).to eq([["fit", "11.4", "mm"], ["fit", "3/8", "in"]])
      expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].map { |axle| axle["readings"] }).to eq([0, 0])
    end

    it "does not lift the second axle while the first stands on stands, and does not finish with one axle done" do
      keys = ask(:get, address)["steps"].map { |step| step["key"] }
      tick_until("front.lift")
      tick("rear.lift")
      expect(status).to eq(422)
      tick_until(keys.reverse.find { |key| key.start_with?("front.") })
      open = fields(finish).keys
      expect(open).to include("steps.rear.lift", "steps.rear.pump", "steps.first_stops").and all(satisfy { |field| !field.start_with?("steps.front.") })
    end
  end

  # common practice, no source: a cut takes a few tenths off each rotor, and both are cut
  it "logs turned rotors as they came back, one row a side, and refuses what is under discard" do
    complete
    know(front, ["rotor.retention", "nothing", nil], ["rotor.new_thickness", "25", "mm"], ["rotor.machine_to_thickness", "23.4", "mm"], ["bracket_bolt.torque", "105", "N·m"],
         ["bracket_bolt.drive", "hex-18", nil])
    readings = %w[left right].map { |side| { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["24.60"] } }
    ask(:post, look_overs, look_over("2026-05-10", "59900", *readings))
    ask(:put, "/schools", { rotors: "turn" })
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_turn] } })
    settle_all
    ask(:patch, address, { state: "ready", because: "The shop has time" })
    tick_until
    expect(fields(finish(fitted: [{ axle: front, part: "rotor", value: "22.9" }]))).to eq("fitted.#{front}.rotor" => "too_thin")
    rows = ask(:get, "/look-overs/#{finish(fitted: [{ axle: front, part: "rotor", value: "24.2" }])["closed"]["look_over"]}")["readings"]
    expect(rows.select { |row| row["event"] == "resurfaced" }.map { |row| row["value"] }).to eq(%w[24.2 24.2])
    expect(ask(:get, "/axles/#{front}/job-plan")["axles"].first["rotor"]["sides"].map { |side| side["sentence"] }).to all(include("24.20 mm"))
  end

  it "speaks miles to who counts miles, and the same hours everywhere" do
    complete
    expect(step(proposed, "bed_in")["text"]).to include("from 40 to 50 km/h")
    ask(:patch, "/vehicles/#{car["id"]}", { distance_unit: "mi" })
    plan = ask(:get, "/axles/#{front}/job-plan")
    expect([step(plan, "bed_in")["text"], step(plan, "front.retorque") || step(plan, "retorque")["text"]]).to match([/from 25 to 30 mph/, /after 50 to 100 mi/])
    expect(plan["steps"].map { |each| each["text"] }.join).not_to match(/\{|\d km\b/)
    expect(plan["money"]["hours"]["said"]).to eq("1 to 2 h")
  end

  it "takes a cancelled job back as it was" do
    complete
    settle_all
    ask(:patch, address, { state: "ready" })
    tick_until("front.chock")
    expect(ask(:patch, address, { state: "dropped" })["state"]).to eq("dropped")
    expect(ask(:post, address("/restore"))).to include("state" => "started", "ticked" => include("front.chock"))
    expect(fields(ask(:post, address("/restore")))).to eq("state" => "not_dropped")
  end

  it "keeps notes at a step for next time" do
    complete
    expect(step(ask(:post, address("/notes"), { step: "front.left.judge", text: "The lower bolt is the longer one" }), "front.left.judge")["notes"].first["text"]).to include("longer")
    expect(fields(ask(:post, address("/notes"), { step: "front.left.judge", text: " " }))).to eq("text" => "missing")
    later = ask(:post, "/axles/#{front}/jobs", {})
    expect(step(later, "front.left.judge")).to include("notes" => [], "last_time" => [include("text" => /longer/)])
  end

  it "lets steps be added, moved and left out as far as the order allows" do
    complete
    added = ask(:post, address("/adjustments"), { deed: "insert", after: "front.left.judge", text: "Photograph the clip" })
    own = added["steps"].find { |step| step["own"] }
    expect(own).to include("text" => "Photograph the clip", "place" => "front left", "gate" => false)
    expect(fields(ask(:post, address("/adjustments"), { deed: "drop", key: "front.pump" }))).to eq("key" => "breaks_order")
    early = ask(:post, address("/adjustments"), { deed: "move", key: "front.pump", after: "front.left.pads_out" })
    expect(early["error"]["fields"].first["message"]).to match(/must not happen while the caliper is open|requires that/)
    dropped = ask(:post, address("/adjustments"), { deed: "drop", key: "bed_in" })
    expect(dropped["dropped"].map { |step| step["key"] }).to eq(["bed_in"])
    expect(ask(:delete, address("/adjustments/#{dropped["dropped"].first["event"]}"))["dropped"]).to be_empty
    expect(fields(ask(:post, address("/adjustments"), { deed: "insert", after: nil, text: "" }))).to eq("text" => "missing")
    ask(:delete, address("/adjustments/#{own["event"]}"))
    expect(ask(:get, address)["steps"].none? { |step| step["own"] }).to be(true)
    ask(:post, address("/adjustments"), { deed: "insert", after: "front.left.hook", text: "Count the shims" })
    inspected = ask(:put, address("/scope"), { axles: { front.to_s => %w[inspect] } })
    expect(inspected["set_aside"]).to contain_exactly(include("text" => "“Count the shims” has lost its place: the step it refers to is not in this job"))
    ask(:delete, address("/adjustments/#{inspected["set_aside"].first["event"]}"))
    ask(:delete, address("/adjustments/99999"))
    expect(status).to eq(404)
  end

  it "offers what falls due near, and the fluid, in the same session" do
    complete
    ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", { date: "2023-01-10", odometer: { value: "20000" } })
    offer = ask(:get, "/axles/#{front}/job-plan")["scope"]["offers"].find { |each| each["text"].include?("fluid") }
    expect(offer["adds"].map { |each| each["works"] }).to all(include("bleed"))
    rear = car["axles"].last["id"]
    know(rear, ["caliper.kind", "floating_slide_pins", nil], ["parking_brake.kind", "cable", nil])
    plan = ask(:put, address("/scope"), { axles: offer["adds"].to_h { |each| [each["axle_id"].to_s, each["works"]] } })
    expect(plan["fluid"]).to include("bleeds" => true, "order" => ["rear right", "rear left", "front right", "front left"], "needed_ml" => 1000, "bottles_ml" => [1000])
    expect(plan["steps"].map { |step| step["key"] }).to include("both.lift_both", "rear.left.bleed")
    expect(open_items(plan)).to include("grade:fluid")
  end

  it "refuses a day that is gone or is none" do
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-15" }))).to eq("planned_for" => "out_of_range")
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "Saturday" }))).to eq("planned_for" => "not_a_day")
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "9999-01-01" }))).to eq("planned_for" => "out_of_range")
  end

  # common practice, no source: never inherit a torque, never guess between two
  it "asks which torque counts when two sources disagree, and keeps both" do
    complete
    enter = ->(value, source, **more) { ask(:post, "/axles/#{front}/brake-data", { entries: [{ key: "wheel_nut.torque", value:, unit: "N·m", source:, **more }] }) }
    nut = ->(plan) { plan["torque"].find { |line| line["fastener"] == "wheel_nut" } }
    field = -> { ask(:get, "/axles/#{front}/brake-data")["fields"].find { |each| each["key"] == "wheel_nut.torque" } }
    enter["121", "parts_counter"]
    expect(field.call["rivals"]).to be_empty
    enter["130", "parts_counter"]
    expect(field.call["rivals"].map { |rival| rival.values_at("value", "source") }).to eq([%w[130 parts_counter], ["88.5", "manual"]])
    expect(nut.call(proposed)["doubt"]).to include("Sources disagree: 130 N·m (parts counter), 88.5 lbf·ft (maker's manual)")
    rival = proposed["readiness"].find { |item| item["kind"] == "rivals" }
    expect(rival).to include("blocks" => true, "tickable" => false, "text" => /130 N·m and 88\.5 lbf·ft/)
    expect(fields(ask(:patch, address, { state: "ready", because: "Sure" }))).to eq("because" => "never")
    enter["130", "parts_counter", chosen: true]
    expect([field.call["rivals"], nut.call(ask(:get, address))["newton_metres"]]).to eq([[], 130])
    # what is copied or usual is no source
    enter["200", "typical"]
    enter["130", "parts_counter"]
    expect(field.call["rivals"]).to be_empty
  end

  it "keeps a torque range, and lets what the owner entered of a fastener overrule what is usual" do
    complete
    know(front, ["wheel_nut.torque", "125-150", "N·m"], ["slide_pin_bolt.threadlocker", "none", nil], ["slide_pin_bolt.lubrication", "dry", nil])
    nuts = proposed["torque"].find { |line| line["fastener"] == "wheel_nut" }
    expect(nuts).to include("newton_metres" => 137.5, "range" => "125 to 150 N·m", "entered" => "125 to 150 N·m")
    expect(step(proposed, "front.left.pin_bolts_in")["tighten"].first["said"]).to eq(["new ones", "threadlocker: none", "thread: dry"])
    expect(proposed["consumables"].map { |each| each["id"] }).not_to include("threadlocker")
    expect(proposed["places"].find { |place| place["place"] == "Bracket and pin bolts" }["use"]).to eq("as you entered: slide pin bolts: none")
    know(front, ["slide_pin_bolt.threadlocker", "medium", nil])
    expect(ask(:get, "/axles/#{front}/job-plan")["consumables"].find { |each| each["id"] == "threadlocker" }["amount"]).to eq(4)
    expect(fields(know(front, ["wheel_nut.torque", "150-125", "N·m"]))).to eq("entries.0.value" => "order")
    expect(fields(know(front, ["wheel_nut.torque", "125-1500", "N·m"]))).to eq("entries.0.value" => "out_of_range")
    know(front, ["rotor.retention", "screws", nil])
    job
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Lip" } })
    screws = ask(:get, address)["torque"].find { |line| line["fastener"] == "rotor_screw" }
    expect(screws).to include("snug" => true, "newton_metres" => nil)
  end

  it "says which wrench to set to what, what to borrow, and what a crow-foot changes" do
    complete
    setting = ->(plan, fastener) { plan["torque"].find { |line| line["fastener"] == fastener }["wrench"] }
    expect(setting.call(proposed, "slide_pin_bolt")).to include("wrench" => nil, "sentence" => "No wrench of yours reaches this: borrow one for 10 to 50 N·m.")
    ask(:post, "/torque-wrenches", { name: "Long one", unit: "N·m", least: "40", most: "200", graduation: "1", length_mm: "450", calibrated_on: "2026-01-10" })
    expect(status).to eq(201)
    # 88.5 lbf·ft = 119.99 N·m
    found = setting.call(ask(:get, "/axles/#{front}/job-plan"), "wheel_nut")
    expect(found).to include("wrench" => "Long one", "setting" => 120.0, "unit" => "N·m", "low" => 115.2, "high" => 124.8, "overdue" => false)
    settings = ask(:get, "/axles/#{front}/torque-settings?extension_mm=50")["settings"].to_h { |each| each.values_at("fastener", "wrench") }
    expect(settings["wheel_nut"]).to include("setting" => 108.0)
    expect(fields(ask(:get, "/axles/#{front}/torque-settings?extension_mm=wide"))).to eq("extension_mm" => "not_a_number")
    ask(:patch, "/torque-wrenches/1", { retired: true })
    expect(setting.call(ask(:get, "/axles/#{front}/job-plan"), "wheel_nut")["wrench"]).to be_nil
  end

  it "refuses wrenches that cannot be" do
    refused = ->(**given) { fields(ask(:post, "/torque-wrenches", { name: "Odd", unit: "N·m", least: "10", most: "100", graduation: "1", **given })).keys }
    expect(refused.call(least: "120")).to eq(["least"])
    expect(refused.call(name: " ", unit: "kg", most: "many")).to contain_exactly("name", "unit", "most")
    expect(refused.call(most: "90000")).to eq(["most"])
    expect(refused.call(graduation: "0")).to eq(["graduation"])
    expect(refused.call(length_mm: "2", calibrated_on: "2030-01-01")).to contain_exactly("length_mm", "calibrated_on")
    expect(ask(:get, "/torque-wrenches")["wrenches"]).to be_empty
  end
end
