# frozen_string_literal: true

require_relative "../support/api_helper"
require_relative "../support/random_owner"

# No entry that was taken may take down its vehicle, let alone the household.
RSpec.describe "One entry and the household" do
  include ApiHelper

  def pages
    %w[/garage /timelines /calendar.ics] +
      ["", "/findings", "/timeline", "/inspection-form"].map { |page| "/vehicles/#{car["id"]}#{page}" } +
      %w[wear job-plan brake-data].map { |page| "/axles/#{front}/#{page}" }
  end

  def statuses
    pages.to_h do |path|
      get "/api/v1#{path}", {}, { "HTTP_HOST" => "127.0.0.1" }
      [path, status]
    end
  end

  def log(date, odometer, *readings) = ask(:post, inspections, inspection(date, odometer, *readings))
  def tool = @tool ||= ask(:post, "/instruments", { name: "Caliper", method: "caliper" })["id"]
  def on_file(vehicle)
    context
      .store
      .inspections
      .of_vehicle(vehicle["id"])
      .flat_map { |each| each.readings.map { |row| [each.id, row.id] } }
  end
  def unusable = ask(:get, "/vehicles/#{car["id"]}")["unusable"]
  def zero_check(read) = ask(:post, "/instruments/#{tool}/zero-checks", { date: "2026-05-10", reference: "0", read: })

  it "one new pad or machined rotor of an unknown axle: no forecast, with the reason" do
    log("2026-05-10", "60000", { axle: front, part: "pad", side: "left", pad: "outer", event: "fit" })
    log("2026-05-11", "60010", { axle: front, part: "rotor", side: "left", event: "resurfaced" })
    know(front, %w[rotor.discard_thickness 22 mm])
    expect(statuses.values).to all(eq(200))
    axle = ask(:get, "/vehicles/#{car["id"]}")["axles"].first
    expect(axle).to include("pads_life" => nil, "rotors_life" => nil)
    expect(axle["why_not"]).to contain_exactly(
      /no reading of the left inner, right inner and right outer pad yet/,
      /no reading of the right rotor yet/
    )
  end

  it "a mistaken zero check: makes no reading negative and can be withdrawn" do
    log("2026-05-01", "60000", pad("0.40", instrument: tool), pad("7.4", side: "right", instrument: tool))
    zero_check("1.5")
    refused = ask(:post, "/instruments/#{tool}/corrections")
    expect(refused["error"]["fields"]).to contain_exactly(
      include(
        "code" => "breaks_readings",
        "message" => /1 reading .*Juniper front left inner pad, 0\.40 mm on 1 May 2026/
      )
    )
    expect(ask(:delete, "/instruments/#{tool}/zero-checks/1")).to include("checks" => [], "changes" => [])
    expect(statuses.values).to all(eq(200))
  end

  it "a withdrawn zero check: restores the corrected readings" do
    log("2026-05-01", "60000", pad("7.4", side: "right", instrument: tool))
    zero_check("0.5")
    ask(:post, "/instruments/#{tool}/corrections")
    value = -> { context.store.inspections.of_vehicle(car["id"]).first.readings.first.value }
    expect(value.call).to eq("6.90")
    ask(:delete, "/instruments/#{tool}/zero-checks/1")
    expect(value.call).to eq("7.4")
    ask(:delete, "/instruments/#{tool}/zero-checks/1")
    expect(status).to eq(404)
  end

  it "a withdrawn zero check: leaves a reading the owner has corrected since" do
    log("2026-05-01", "60000", pad("7.4", side: "right", instrument: tool))
    zero_check("0.5")
    ask(:post, "/instruments/#{tool}/corrections")
    inspection, reading = on_file(car).first
    ask(:post, "/inspections/#{inspection}/corrections", { reading:, value: "7.0", reason: "Measured again" })
    ask(:delete, "/instruments/#{tool}/zero-checks/1")
    expect(context.store.inspections.of_vehicle(car["id"]).first.readings.first.value).to eq("7.0")
  end

  it "a withdrawn zero check: leaves a correction alone that only says it was the check's" do
    log("2026-05-01", "60000", pad("7.4", side: "right", instrument: tool))
    zero_check("0.5")
    inspection, reading = on_file(car).first
    ask(:post, "/inspections/#{inspection}/corrections", { reading:, value: "7.0", reason: "Zero check 1: by hand" })
    ask(:delete, "/instruments/#{tool}/zero-checks/1")
    expect(context.store.inspections.of_vehicle(car["id"]).first.readings.first.value).to eq("7.0")
  end

  it "rejects a tool range or plate that would make saved readings impossible" do
    log("2026-05-01", "60000", pad("7.4", instrument: tool, overall: true))
    narrowed = ask(:patch, "/instruments/#{tool}", { most: "5" })
    expect(narrowed["error"]["fields"]).to contain_exactly(
      include("field" => "most", "code" => "breaks_readings", "message" => /front left inner pad, 7\.4 mm/)
    )
    expect(fields(ask(:patch, "/instruments/#{tool}", { least: "8" }))).to eq("least" => "breaks_readings")
    expect(ask(:patch, "/instruments/#{tool}", { most: "8" })).to include("most" => "8")
    plate = know(front, %w[wear_sensor none], %w[pad.backing_plate 9 mm])
    expect(fields(plate)).to eq("entries.1.value" => "breaks_readings")
    know(front, %w[pad.backing_plate 5.5 mm])
    expect(statuses.values).to all(eq(200))
  end

  it "a figure next to an event, from an older version: counts the event only" do
    %w[metal squealer sensor].each do |event|
      expect(fields(log("2026-05-01", "60000", pad("2.4", event:, overall: true)))).to eq(
        "readings.0.values" => "figure_beside_event"
      )
    end
    log("2026-05-01", "60000", pad("2.4", overall: false))
    context.store.inspections.add(
      vehicle_id: car["id"],
      date: Date.new(2026, 5, 2),
      odometer: {
        value: "60010",
        unit: "km",
        km: 60_010.0
      },
      note: nil,
      at: context.now,
      readings: [
        {
          axle_id: front,
          part: "pad",
          side: "left",
          pad: "inner",
          event: "metal",
          method: "caliper",
          value: "2.4",
          unit: "mm",
          overall: true,
          flags: []
        }
      ]
    )
    expect(statuses.values).to all(eq(200))
    expect(ask(:get, "/vehicles/#{car["id"]}")).to include("unusable" => [], "state" => include("severity" => "stop"))
  end

  # Whatever once got in: the entry is named, the rest goes on.
  it "an impossible saved reading: is named while everything else counts" do
    log("2026-05-01", "60000", *%w[left right].product(%w[inner outer]).map { |side, pad| pad("7.4", side:, pad:) })
    row = context.store.inspections.of_vehicle(car["id"]).first.readings.first
    context.store.corrections.add(
      inspection_id: 1,
      reading_id: row.id,
      change: {
        "value" => "-1.10"
      },
      reason: "slip",
      at: context.now
    )
    expect(statuses.values).to all(eq(200))
    expect(unusable).to contain_exactly(
      include("inspection" => 1, "text" => /front left inner pad, -1\.10 mm/, "because" => /-1\.1/)
    )
    expect(ask(:get, "/garage")["vehicles"].first).to include("state" => include("severity" => /watch|plan|stop/))
  end

  # Whatever was taken, in whatever order: every page answers, and no state is milder than what was found.
  it "any of a random owner's" do
    seeds = Array.new(Integer(ENV.fetch("GRAVER_OWNERS", 2))) { |at| at + 1 }
    seeds.each do |seed|
      vehicle = seed == 1 ? car : ask(:post, "/vehicles", { name: "Owner #{seed}", kind: "car" })
      owner = RandomOwner.new(vehicle, seed, -> { on_file(vehicle) })
      10.times do
        call = owner.call
        ask(*call)
        expect(status).to be < 500, "#{seed}: #{call} -> #{status}"
        get "/api/v1/garage", {}, { "HTTP_HOST" => "127.0.0.1" }
        expect(status).to eq(200), "#{seed}: after #{call}"
      end
    end
    expect(statuses.values).to all(eq(200))
    words = %w[stop plan watch good]
    ask(:get, "/garage")["vehicles"].each do |card|
      graver = ask(:get, "/vehicles/#{card["id"]}/findings")["findings"].map { |found| words.index(found["severity"]) }
      expect(words.index(card["state"]["severity"])).to be <= (graver.min || 3), card["name"]
      expect(card["calculated"]).to be(true)
    end
  end

  it "limits a vehicle that can't be calculated to its own card" do
    other = ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    log("2026-05-01", "60000", pad("7.4"))
    allow(Graver::Service::Overview::AxleFindings).to receive(:new).and_wrap_original do |build, *given|
      build
        .call(*given)
        .tap do |findings|
          allow(findings).to receive(:call).and_wrap_original do |call, file, *rest|
            file.vehicle.id == other["id"] ? raise(KeyError, "planted") : call.call(file, *rest)
          end
        end
    end
    know(other["axles"].first["id"], %w[wheel_nut.torque 90 N·m])
    cards = -> { ask(:get, "/garage")["vehicles"].to_h { |card| [card["name"], card] } }
    expect(&cards).to output(/planted/).to_stderr
    allow(Graver::ErrorLog).to receive(:report)
    expect(cards.call).to include(
      "Wren" => include("calculated" => false, "axles" => [], "why" => /no verdict/),
      "Juniper" => include("calculated" => true, "axles" => [be_a(Hash), be_a(Hash)])
    )
    ask(:get, "/vehicles/#{other["id"]}")
    expect([status, ask(:get, "/timelines")["vehicles"].map { |line| line["vehicle_name"] }]).to eq([200, ["Juniper"]])
  end
end
