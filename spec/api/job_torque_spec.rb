# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "Torque of a job in the API" do
  include JobHelper

  # common practice, no source: never inherit a torque, never guess between two
  it "asks which torque counts when two sources disagree, and keeps both" do
    complete
    enter =
      lambda do |value, source, **more|
        ask(
          :post,
          "/axles/#{front}/brake-data",
          { entries: [{ key: "wheel_nut.torque", value:, unit: "N·m", source:, **more }] }
        )
      end
    nut = ->(plan) { plan["torque"].find { |line| line["fastener"] == "wheel_nut" } }
    field = -> { ask(:get, "/axles/#{front}/brake-data")["fields"].find { |each| each["key"] == "wheel_nut.torque" } }
    enter["121", "parts_counter"]
    expect(field.call["rivals"]).to be_empty
    enter["130", "parts_counter"]
    expect(field.call["rivals"].map { |rival| rival.values_at("value", "source") }).to eq(
      [%w[130 parts_counter], %w[121 parts_counter], %w[88.5 manual]]
    )
    expect(nut.call(proposed)["doubt"]).to include(
      "Sources disagree: 130 N·m (parts counter), 121 N·m (parts counter), 88.5 lbf·ft (manufacturer's manual)"
    )
    rival = proposed["readiness"].find { |item| item["kind"] == "rivals" }
    expect(rival).to include("blocks" => true, "tickable" => false, "text" => /130 N·m.*88\.5 lbf·ft/)
    expect(fields(ask(:patch, address, { state: "ready", because: "Sure" }))).to eq("because" => "never")
    enter["130", "parts_counter", chosen: true]
    expect([field.call["rivals"], nut.call(ask(:get, address))["newton_metres"]]).to eq([[], 130])
    # what is copied or usual is no source
    enter["200", "typical"]
    enter["130", "parts_counter"]
    expect(field.call["rivals"]).to be_empty
  end

  it "keeps a torque range, and prefers the owner's entries to typical ones" do
    complete
    know(
      front,
      %w[wheel_nut.torque 125-150 N·m],
      ["slide_pin_bolt.threadlocker", "none", nil],
      ["slide_pin_bolt.lubrication", "dry", nil]
    )
    nuts = proposed["torque"].find { |line| line["fastener"] == "wheel_nut" }
    expect(nuts).to include("newton_metres" => 137.5, "range" => "125 to 150 N·m", "entered" => "125 to 150 N·m")
    expect(step(proposed, "front.left.pin_bolts_in")["tighten"].first["said"]).to eq(
      ["single-use: fit new ones", "threadlocker: none", "thread: dry"]
    )
    expect(proposed["consumables"].map { |each| each["id"] }).not_to include("threadlocker")
    expect(proposed["places"].find { |place| place["place"] == "Bracket and pin bolts" }["use"]).to eq(
      "slide pin bolts: none"
    )
    know(front, ["slide_pin_bolt.threadlocker", "medium", nil])
    expect(ask(:get, address)["consumables"].find { |each| each["id"] == "threadlocker" }["amount"]).to eq(4)
    expect(fields(know(front, %w[wheel_nut.torque 150-125 N·m]))).to eq("entries.0.value" => "order")
    expect(fields(know(front, %w[wheel_nut.torque 125-1500 N·m]))).to eq("entries.0.value" => "out_of_range")
    know(front, ["rotor.retention", "screws", nil])
    job
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Lip" } })
    screws = ask(:get, address)["torque"].find { |line| line["fastener"] == "rotor_screw" }
    expect(screws).to include("snug" => true, "newton_metres" => nil)
  end

  it "returns wrench settings, wrenches to borrow and crow-foot corrections" do
    complete
    setting = ->(plan, fastener) { plan["torque"].find { |line| line["fastener"] == fastener }["wrench"] }
    expect(setting.call(proposed, "slide_pin_bolt")).to include(
      "wrench" => nil,
      "sentence" => "None of your wrenches reaches this: borrow one for 10 to 50 N·m."
    )
    ask(
      :post,
      "/torque-wrenches",
      {
        name: "Long one",
        unit: "N·m",
        least: "40",
        most: "200",
        graduation: "1",
        length_mm: "450",
        calibrated_on: "2026-01-10"
      }
    )
    expect(status).to eq(201)
    # 88.5 lbf·ft = 119.99 N·m
    found = setting.call(ask(:get, "/axles/#{front}/job-plan"), "wheel_nut")
    expect(found).to include(
      "wrench" => "Long one",
      "setting" => 120.0,
      "unit" => "N·m",
      "low" => 115.2,
      "high" => 124.8,
      "overdue" => false
    )
    settings =
      ask(:get, "/axles/#{front}/torque-settings?extension_mm=50")["settings"].to_h do |each|
        each.values_at("fastener", "wrench")
      end
    expect(settings["wheel_nut"]).to include("setting" => 108.0)
    expect(fields(ask(:get, "/axles/#{front}/torque-settings?extension_mm=wide"))).to eq(
      "extension_mm" => "not_a_number"
    )
    far = ask(:get, "/axles/#{front}/torque-settings?extension_mm=5000")["error"]["fields"].first
    expect(far).to include("code" => "out_of_range", "message" => /from 0 to 500 mm/)
    ask(:patch, "/torque-wrenches/1", { retired: true })
    expect(setting.call(ask(:get, "/axles/#{front}/job-plan"), "wheel_nut")["wrench"]).to be_nil
  end

  it "rejects impossible wrenches" do
    refused =
      lambda do |**given|
        fields(
          ask(
            :post,
            "/torque-wrenches",
            { name: "Odd", unit: "N·m", least: "10", most: "100", graduation: "1", **given }
          )
        ).keys
      end
    expect(refused.call(least: "120")).to eq(["least"])
    expect(refused.call(name: " ", unit: "kg", most: "many")).to contain_exactly("name", "unit", "most")
    expect(refused.call(most: "90000")).to eq(["most"])
    expect(refused.call(graduation: "0")).to eq(["graduation"])
    expect(refused.call(length_mm: "2", calibrated_on: "2030-01-01")).to contain_exactly("length_mm", "calibrated_on")
    expect(ask(:get, "/torque-wrenches")["wrenches"]).to be_empty
  end
end
