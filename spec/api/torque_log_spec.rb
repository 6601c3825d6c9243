# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "The torque log of a job in the API" do
  include JobHelper

  before do
    complete
    know(front, ["rotor.retention", "nothing", nil], %w[bracket_bolt.torque 90 N·m], %w[bracket_bolt.angle 90 °])
    job
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Lip" } })
  end

  def tighten(fastener, *bolts, step: nil, **given)
    step ||= { "slide_pin_bolt" => "pin_bolts_in", "bracket_bolt" => "bracket_on" }[fastener]
    step = "front.left.#{step}" unless step.include?(".")
    ask(:post, address("/torques"), { step:, axle: "front", fastener:, bolts:, **given })
  end

  def log(answer = ask(:get, address))
    answer["torques"].map { |each| each.values_at("fastener", "bolt", "verdict", "said") }
  end

  it "keeps the newest value or click of each bolt" do
    expect(log(tighten("slide_pin_bolt", 1, 2, wrench: "Click wrench"))).to eq(
      [["slide_pin_bolt", 1, "clicked", nil], ["slide_pin_bolt", 2, "clicked", nil]]
    )
    # 28 N·m: 26.9 to 29.1 N·m (4 %, ISO 6789, from memory); 20.7 lbf·ft is 28.07 N·m
    expect(log(tighten("slide_pin_bolt", 2, reached: "26.5", unit: "N·m")).last).to eq(
      ["slide_pin_bolt", 2, "under", "26.5 N·m"]
    )
    expect(log(tighten("slide_pin_bolt", 2, reached: "20.7", unit: "lbf·ft")).last).to eq(
      ["slide_pin_bolt", 2, "ok", "20.7 lbf·ft"]
    )
    reached = ask(:get, address)["torque"].find { |line| line["fastener"] == "slide_pin_bolt" }["reached"]
    expect(reached).to eq(["left 1: clicked", "left 2: 20.7 lbf·ft"])
    nuts = tighten("wheel_nut", 1, 2, 3, 4, 5, step: "front.star")
    expect(nuts["torques"].count { |each| each["fastener"] == "wheel_nut" }).to eq(5)
    expect(log).to eq(log(nuts))
  end

  it "takes no bolt and no tick for a torque that changed since it was read" do
    said = ->(key) { step(ask(:get, address), "front.left.#{key}")["said"] }
    bolt, words = said["bracket_on"], said["wheel_off"]
    know(front, %w[bracket_bolt.torque 105 N·m])
    expect([said["bracket_on"] == bolt, said["wheel_off"] == words]).to eq([false, true])
    tighten("bracket_bolt", 1, angle: "90", seen: bolt)
    expect([status, log]).to eq([412, []])
    tick = { steps: ["front.left.bracket_on"], done: true }
    refused = ask(:post, address("/ticks"), { **tick, seen: { "front.left.bracket_on" => bolt } })
    expect([status, refused["error"]["code"], fields(refused)]).to eq(
      [412, "changed_elsewhere", { "step" => "changed_elsewhere" }]
    )
    tighten("bracket_bolt", 1, angle: "90", seen: said["bracket_on"])
    expect([status, log.length]).to eq([200, 1])
    ask(:post, address("/ticks"), { **tick, seen: { "front.left.bracket_on" => said["bracket_on"] } })
    expect(status).to eq(422)
    ask(:post, address("/ticks"), { steps: ["settle"], done: false, seen: { "settle" => "else" } })
    expect(status).to eq(200)
  end

  it "asks about an overtightened bolt, and replaces single-use ones" do
    # slide pin bolts are marked as once only
    once = tighten("slide_pin_bolt", 1, reached: "35", unit: "N·m")
    expect(fields(once)).to eq("answer" => "over")
    expect(once["error"]["fields"].first["message"]).to include("35 N·m", "fit a new one")
    expect(fields(tighten("slide_pin_bolt", 1, reached: "35", unit: "N·m", answer: "loosened"))).to eq(
      "answer" => "over"
    )
    expect(log).to be_empty
    renewed = tighten("slide_pin_bolt", 1, reached: "35", unit: "N·m", answer: "renewed")
    expect(log(renewed)).to eq([["slide_pin_bolt", 1, "undone", "35 N·m"]])
    stretched = tighten("bracket_bolt", 1, reached: "150", unit: "N·m", angle: "110")
    expect(fields(stretched)).to eq("answer" => "over")
    expect(log(tighten("bracket_bolt", 1, reached: "150", unit: "N·m", angle: "92")).last).to eq(
      ["bracket_bolt", 1, "ok", "150 N·m, 92°"]
    )
    again = tighten("wheel_nut", 1, step: "front.star", reached: "130", unit: "lbf·ft", answer: "loosened")
    expect(log(again).last).to eq(["wheel_nut", 1, "undone", "130 lbf·ft"])
    expect(
      fields(tighten("wheel_nut", 1, step: "front.star", reached: "130", unit: "lbf·ft", answer: "kept", because: " "))
    ).to eq("because" => "missing")
  end

  it "rejects an unknown bolt, an invalid value, and simulated torque on a real vehicle" do
    expect(fields(tighten("slide_pin_bolt", 3))).to eq("bolts" => "out_of_range")
    expect(fields(tighten("slide_pin_bolt", 0))).to eq("bolts" => "out_of_range")
    expect(fields(tighten("wheel_nut", 1, step: "pin_bolts_in"))).to eq("fastener" => "unknown_item")
    expect(fields(tighten("slide_pin_bolt", 1, reached: "tight", unit: "N·m"))).to eq("reached" => "not_a_number")
    expect(fields(tighten("bracket_bolt", 1, reached: "90", unit: "N·m", angle: "400"))).to eq(
      "angle" => "out_of_range"
    )
    # a click is the torque alone; the angle makes the clamp load (common practice, no source)
    expect(fields(tighten("bracket_bolt", 1))).to eq("angle" => "no_value")
    expect(log(tighten("bracket_bolt", 1, angle: "90")).last).to eq(["bracket_bolt", 1, "ok", "90°"])
    expect(fields(tighten("slide_pin_bolt", 1, reached: "28", unit: "N·m", simulated: true))).to eq(
      "reached" => "simulated"
    )
    know(front, ["slide_pin_bolt.torque", nil, nil])
    expect(fields(tighten("slide_pin_bolt", 1, reached: "28", unit: "N·m"))).to eq("reached" => "no_value")
  end
end
