# frozen_string_literal: true

require_relative "../support/api_helper"

# What a job waits for, each for its own cause.
RSpec.describe "Readiness of a job" do
  include ApiHelper

  before do
    know(
      front,
      ["caliper.kind", "floating_slide_pins", nil],
      %w[pad.new_thickness 11 mm],
      %w[slide_pin_bolt.torque 28 N·m],
      ["slide_pin_bolt.drive", "hex-13", nil],
      %w[wheel_nut.torque 120 N·m],
      ["wheel_nut.drive", "hex-17", nil],
      ["wheel_nut.count", "5", nil],
      %w[rotor.discard_thickness 23 mm],
      ["rotor.retention", "nothing", nil]
    )
  end

  def job = @job ||= pad_job
  def items = ask(:get, "/jobs/#{job["id"]}")["readiness"]
  def of(kind) = items.select { |item| item["kind"] == kind }
  def scope(works, **reasons) = ask(:put, "/jobs/#{job["id"]}/scope", { axles: { front.to_s => works }, reasons: })

  it "asks for a torque, and for the angle that follows one" do
    know(front, ["slide_pin_bolt.torque", nil, nil])
    expect(of("torque")).to contain_exactly(
      include("id" => "torque:front.slide_pin_bolt", "blocks" => true, "tickable" => false, "axle_id" => front)
    )
    know(front, %w[slide_pin_bolt.torque 30 N·m], %w[slide_pin_bolt.angle 90 °])
    expect(of("angle")).to contain_exactly(
      include("text" => "Front slide pin bolts: torque angle of 90°.", "tickable" => true)
    )
  end

  # What is not overruled: a bolt without a torque, a rotor below its limit; common practice, no source.
  it "accepts no reason for an unknown torque or a condemned rotor" do
    ready = -> { fields(ask(:patch, "/jobs/#{job["id"]}", { state: "ready", because: "In a hurry" })) }
    know(front, ["slide_pin_bolt.torque", nil, nil])
    expect(ready.call).to eq("because" => "never")
    know(front, %w[slide_pin_bolt.torque 28 N·m])
    readings =
      %w[left right].map do |side|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["22.4"] }
      end
    job
    ask(:post, inspections, inspection("2026-05-10", "60000", *readings))
    expect(of("rotors_must")).to contain_exactly(
      include("text" => "Front: the plan keeps the rotors, but the verdict is: replace both rotors.")
    )
    expect(ready.call).to eq("because" => "never")
    scope(%w[pads rotors_new])
    know(front, %w[bracket_bolt.torque 105 N·m])
    expect(of("rotors_must")).to be_empty
    ask(:patch, "/jobs/#{job["id"]}", { state: "ready", because: "In a hurry" })
    expect(status).to eq(200)
  end

  it "rejects an angle without torque, a torque of zero or ten thousand, and an unknown thread" do
    refused = ->(key, value, unit) { fields(know(front, [key, value, unit])) }
    expect(refused.call("bracket_bolt.angle", "90", "°")).to eq("entries.0.value" => "angle_alone")
    expect(refused.call("bracket_bolt.torque", "0", "N·m")).to eq("entries.0.value" => "out_of_range")
    expect(refused.call("bracket_bolt.torque", "10000", "N·m")).to eq("entries.0.value" => "out_of_range")
    expect(refused.call("bracket_bolt.thread", "M12 x 9", nil)).to eq("entries.0.value" => "unknown_thread")
    know(front, %w[bracket_bolt.torque 90 N·m], %w[bracket_bolt.angle 90 °])
    expect(status).to eq(200)
  end

  it "asks the owner to confirm second-hand values" do
    ask(
      :post,
      "/axles/#{front}/brake-data",
      { entries: [{ key: "slide_pin_bolt.torque", value: "28", unit: "N·m", source: "typical" }] }
    )
    expect(of("doubt")).to contain_exactly(
      include("text" => "Front slide pin bolts: the value isn't the manufacturer's.")
    )
  end

  it "names the wrench to borrow and the overdue one" do
    expect(plain(of("wrench").map { |item| item["todo"] })).to include("Borrow one for 10 to 50 N·m.")
    ask(
      :post,
      "/torque-wrenches",
      { name: "Short", unit: "N·m", least: "5", most: "50", graduation: "0.5", calibrated_on: "2020-01-01" }
    )
    expect(of("wrench").map { |item| item["id"] }).to eq(["wrench:front.wheel_nut.120"])
    expect(of("calibration")).to contain_exactly(include("text" => /Short is overdue/, "blocks" => false))
  end

  it "requires parts chosen, ordered in time and there; only advises spares" do
    expect(of("parts").map { |item| item["id"] }).to contain_exactly("parts:front.pads", "parts:front.clip_kit")
    expect(of("spares")).to all(include("blocks" => false))
    ask(:post, "/supplies", { kind: "part", item: "pads", axle: front, name: "Plain", lead_days: 3 })
    expect(of("parts").find { |item| item["id"] == "parts:front.pads" }["todo"]).to eq(
      "Order “Plain” by Wed 20 May. Tick this when it has arrived."
    )
    ask(:post, "/jobs/#{job["id"]}/resolved", { item: "parts:front.pads", done: true })
    expect(of("parts").find { |item| item["id"] == "parts:front.pads" }["resolved"]).to be(true)
    ask(:post, "/jobs/#{job["id"]}/resolved", { item: "parts:front.pads", done: false })
    expect(of("parts").find { |item| item["id"] == "parts:front.pads" }["resolved"]).to be(false)
  end

  it "counts consumables against the shelf" do
    expect(of("consumables").find { |item| item["id"] == "consumables:cleaner" }["todo"]).to eq("Buy 2 cans.")
    ask(:post, "/supplies", { kind: "consumable", item: "cleaner", name: "Cleaner", on_shelf: "1" })
    expect(of("consumables").find { |item| item["id"] == "consumables:cleaner" }["todo"]).to eq("Buy 1 can.")
    ask(:patch, "/supplies/1", { on_shelf: "2" })
    expect(of("consumables").map { |item| item["id"] }).not_to include("consumables:cleaner")
  end

  it "mentions fluid only as far as it is known, and requires its grade to bleed" do
    expect(of("overflow")).not_to be_empty
    expect(of("grade")).to be_empty
    scope(%w[pads bleed])
    expect(of("grade")).to contain_exactly(include("blocks" => true))
    know(front, ["fluid.grade", "dot_4", nil])
    expect(of("grade")).to be_empty
  end

  it "reminds of days at the machine shop, and of an open verdict before rotors are left out" do
    expect(of("rotors")).to contain_exactly(
      include("todo" => "Measure before you buy: not measured yet.", "blocks" => false)
    )
    know(front, %w[rotor.machine_to_thickness 23.6 mm])
    scope(%w[pads rotors_turn], front.to_s.to_sym => "Pulsation")
    expect(of("turning")).not_to be_empty
    expect(of("rotors")).to be_empty
  end

  it "asks about the weather of the day, again for another day" do
    ask(:post, "/jobs/#{job["id"]}/resolved", { item: "weather:2026-05-23", done: true })
    expect(of("weather").first).to include("resolved" => true)
    ask(:patch, "/jobs/#{job["id"]}", { planned_for: "2026-05-30" })
    expect(of("weather").first).to include("resolved" => false, "text" => "Place and weather for Sat 30 May.")
  end
end
