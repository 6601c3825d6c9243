# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Job cards in the API" do
  include ApiHelper

  let(:card) { ask(:get, "/axles/#{front}/job-card") }

  def complete
    know(front, ["caliper.kind", "floating_slide_pins", nil], ["slide_pin_bolt.torque", "28", "N·m"], ["slide_pin_bolt.drive", "hex-13", nil], ["slide_pin_bolt.single_use", "once", nil],
         ["wheel_nut.torque", "88.5", "lbf·ft"], ["wheel_nut.drive", "hex-17", nil], ["wheel_nut.count", "5", nil], ["rotor.discard_thickness", "23", "mm"], ["wear_sensor", "left", nil])
  end

  it "says what is missing and what to do about it before anything else" do
    expect(card).to include("steps" => nil, "torque" => [])
    expect(card["missing"].map { |gap| gap["key"] }).to contain_exactly("rotor.discard_thickness", "caliper.kind", "wheel_nut.torque", "wheel_nut.drive")
    expect(card["rotor"]["outcome"]).to eq("unmeasured")
  end

  it "is whole when the data are" do
    complete
    expect(card["missing"]).to be_empty
    pins, nuts = card["torque"]
    expect(pins).to include("count" => 4, "newton_metres" => 28, "pound_feet" => 20.7, "drive" => "Hex head 13 mm", "single_use" => true)
    # NIST SP 811 B.8 (from memory): 88.5 x 1.355 818 = 119.99
    expect(nuts).to include("count" => 10, "newton_metres" => 120, "pound_feet" => 88.5, "star" => [1, 3, 5, 2, 4])
    expect(card["parts"].to_h { |part| [part["id"], part["count"]] }).to include("pads" => 1, "single_use" => 4, "wear_sensor" => 1)
    expect(card["steps"].map { |step| step["key"] }).to include("left.sensor_off", "right.pads_in", "pump").and(satisfy { |keys| !keys.include?("right.sensor_off") })
    expect(card["steps"].find { |step| step["key"] == "pump" }).to include("gate" => true, "cautions" => [include("severity" => "danger")])
  end

  it "puts the danger at the bolt whose torque is not known" do
    complete
    know(front, ["wheel_nut.torque", nil, nil])
    expect(card["steps"].find { |step| step["key"] == "star" }["cautions"].map { |caution| caution["text"] }).to include(/No torque by feel/)
  end

  it "judges the rotor against its limit" do
    complete
    rotor = ->(side, value) { { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] } }
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", rotor["left", "24.4"], rotor["right", "22.98"]))
    expect(card["rotor"]).to include("outcome" => "replace", "label" => "Replace both rotors")
    expect(card["rotor"]["sides"].map { |side| side["outcome"] }).to include("replace")
  end

  it "never judges a rotor thicker than it was read, and a new one not by the old one's readings" do
    complete
    know(front, ["rotor.new_thickness", "25", "mm"])
    renewed = { axle: front, part: "rotor", event: "fit" }
    reading = { axle: front, part: "rotor", side: "left", event: "reading", method: "micrometer", unit: "mm", values: ["23.02"] }
    ask(:post, look_overs, look_over("2026-01-10", "50000", renewed))
    ask(:post, look_overs, look_over("2026-05-01", "54000", reading.merge(answer: "keep")))
    left = -> { ask(:get, "/axles/#{front}/job-card")["rotor"]["sides"].find { |side| side["side"] == "left" } }
    expect(left.call).to include("outcome" => "measure_again", "sentence" => /23\.02 mm is within the error/)
    ask(:post, look_overs, look_over("2026-05-10", "54100", renewed))
    expect(left.call["outcome"]).to eq("unmeasured")
  end

  it "plans, ticks and finishes a job, but not past an open gate" do
    complete
    job = ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-23" })
    expect(job).to include("state" => "planned", "planned_for" => "2026-05-23")
    expect(ask(:post, "/jobs/#{job["id"]}/ticks", { step: "settle", done: true })).to include("state" => "started", "ticked" => ["settle"])
    expect(fields(ask(:post, "/jobs/#{job["id"]}/ticks", { step: "dance", done: true }))).to eq("step" => "unknown_step")
    expect(fields(ask(:patch, "/jobs/#{job["id"]}", { state: "finished" }))).to eq("state" => "gates_open")
    job["card"]["steps"].each { |step| ask(:post, "/jobs/#{job["id"]}/ticks", { step: step["key"], done: true }) }
    expect(ask(:patch, "/jobs/#{job["id"]}", { state: "finished" })["state"]).to eq("finished")
    expect(fields(ask(:post, "/jobs/#{job["id"]}/ticks", { step: "settle", done: false }))).to eq("step" => "job_closed")
  end

  it "refuses a day that is gone or is none" do
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "2026-05-15" }))).to eq("planned_for" => "out_of_range")
    expect(fields(ask(:post, "/axles/#{front}/jobs", { planned_for: "Saturday" }))).to eq("planned_for" => "not_a_day")
  end

  it "says which wrench to set to what, what to borrow, and what a crow-foot changes" do
    complete
    setting = ->(card, fastener) { card["torque"].find { |line| line["fastener"] == fastener }["wrench"] }
    expect(setting.call(card, "slide_pin_bolt")).to include("wrench" => nil, "sentence" => "No wrench of yours reaches this: borrow one for 10 to 50 N·m.")
    ask(:post, "/torque-wrenches", { name: "Long one", unit: "N·m", least: "40", most: "200", graduation: "1", length_mm: "450", calibrated_on: "2026-01-10" })
    expect(status).to eq(201)
    # 88.5 lbf·ft = 119.99 N·m
    found = setting.call(ask(:get, "/axles/#{front}/job-card"), "wheel_nut")
    expect(found).to include("wrench" => "Long one", "setting" => 120.0, "unit" => "N·m", "low" => 115.2, "high" => 124.8, "overdue" => false)
    settings = ask(:get, "/axles/#{front}/torque-settings?extension_mm=50")["settings"].to_h { |each| each.values_at("fastener", "wrench") }
    expect(settings["wheel_nut"]).to include("setting" => 108.0)
    expect(fields(ask(:get, "/axles/#{front}/torque-settings?extension_mm=wide"))).to eq("extension_mm" => "not_a_number")
    ask(:patch, "/torque-wrenches/1", { retired: true })
    expect(setting.call(ask(:get, "/axles/#{front}/job-card"), "wheel_nut")["wrench"]).to be_nil
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
