# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Measuring tools and devices in the API" do
  include ApiHelper

  def stored = context.store.inspections.of_vehicle(car["id"])

  describe "instruments" do
    let(:tool) { ask(:post, "/instruments", { name: "Caliper", method: "caliper", most: "150", uncertainty: "0.02" }) }

    def check(day, read, reference: "0")
      ask(:post, "/instruments/#{tool["id"]}/zero-checks", { date: day, reference:, read: })
    end

    it "remove a zero error from readings since the last good check only" do
      check("2026-01-01", "0.01")
      ask(:post, inspections, inspection("2025-12-01", "50000", pad("9.50", instrument: tool["id"])))
      ask(
        :post,
        inspections,
        inspection(
          "2026-02-01",
          "52000",
          pad("9,25", instrument: tool["id"]),
          pad("0.370", pad: "outer", unit: "in", instrument: tool["id"]),
          pad("9.0", side: "right")
        )
      )
      # read after the check that failed
      ask(:post, inspections, inspection("2026-03-02", "52500", pad("8.9", side: "right", instrument: tool["id"])))
      known = check("2026-03-01", "-1.48")
      # by hand: 9.25 + 1.48; 0.370 + 1.48 / 25.4
      expect(known["changes"].map { |change| [change["from"], change["to"], change["unit"]] }).to eq(
        [%w[9,25 10.73 mm], %w[0.370 0.4283 in]]
      )
      expect(ask(:post, "/instruments/#{tool["id"]}/corrections")).to include(
        "corrected" => 2,
        "instrument" => include("changes" => [])
      )
      expect(stored.map { |inspection| inspection.readings.map(&:value) }).to eq(
        [["9.50"], %w[10.73 0.4283 9.0], ["8.9"]]
      )
      ask(:post, "/instruments/#{tool["id"]}/corrections")
      expect(stored[1].readings.map(&:value)).to eq(%w[10.73 0.4283 9.0])
      expect(check("2026-04-01", "25.000", reference: "25")["checks"].first).to include("good" => true)
      # within what the tool's own steps explain: nothing made since is touched
      ask(
        :post,
        inspections,
        inspection("2026-04-05", "53000", pad("9.0", side: "right", pad: "outer", instrument: tool["id"]))
      )
      expect(check("2026-04-10", "0.02")).to include("changes" => [])
      expect(ask(:post, "/instruments/#{tool["id"]}/corrections")["corrected"]).to eq(0)
    end

    it "reject impossible values, all at once" do
      answer = ask(:post, "/instruments", { name: " ", method: "wand", unit: "ell" })
      expect(fields(answer)).to eq("name" => "missing", "method" => "unknown_choice", "unit" => "unknown_unit")
      answer =
        ask(
          :post,
          "/instruments",
          { name: "x", method: "rule", least: "-3", most: "wide", resolution: "0", uncertainty: "1e9" }
        )
      expect(fields(answer)).to eq(
        "least" => "out_of_range",
        "most" => "not_a_number",
        "resolution" => "out_of_range",
        "uncertainty" => "not_a_number"
      )
      expect(fields(check("2027-01-01", "0"))).to eq("date" => "in_future")
      # archive and restore; fields that are not sent stay
      listed = -> { ask(:get, "/instruments")["instruments"].find { |each| each["id"] == tool["id"] } }
      retired =
        [true, false].map do |away|
          ask(:patch, "/instruments/#{tool["id"]}", { retired: away })
          listed.call.then { |each| each && each["retired"] }
        end
      expect(retired).to eq([true, false])
      expect(listed.call).to include("most" => "150", "uncertainty" => "0.02")
      expect(fields(check("2026-01-01", "5000"))).to eq("read" => "out_of_range")
    end
  end

  it "reads and adjusts devices, and reports one that doesn't answer" do
    send = ->(device, **asked) { ask(:post, "/devices/#{device}/readings", { vehicle: car["id"], **asked }) }
    place = { quantity: "length", axle: front, part: "pad", side: "left", pad: "inner" }
    ask(:patch, "/devices/caliper", { settings: { noise: 0 } })
    read = send["caliper", **place]["value"].to_f
    expect(
      ask(:patch, "/devices/caliper", { settings: { zero: -1.5 } })["settings"].find { |knob| knob["id"] == "zero" }
    ).to include("value" => -1.5)
    expect(send["caliper", **place]).to include(
      "value" => format("%.2f", read - 1.5),
      "unit" => "mm",
      "simulated" => true
    )
    # what is known of the vehicle makes no difference to it
    know(front, %w[pad.new_thickness 3.1 mm])
    ask(:post, inspections, inspection("2026-05-10", "60000", pad("2.9")))
    expect(send["caliper", **place]).to include("value" => format("%.2f", read - 1.5))
    expect(fields(ask(:patch, "/devices/caliper", { settings: { zero: 99 } }))).to eq("settings.zero" => "out_of_range")
    ask(:patch, "/devices/caliper", { connected: false })
    expect(send["caliper", quantity: "length"]["error"]).to include("code" => "no_answer")
    expect(status).to eq(503)
    expect(send["diagnostic", quantity: "odometer"]).to include("unit" => "km")
    send["telescope", quantity: "length"]
    expect(status).to eq(404)
  end

  it "has no simulated device unless requested" do
    expect(Graver::Boot.devices(Graver::Boot.setting({}, "GRAVER_SIMULATED_DEVICES"))).to match(
      devices: have_attributes(all: []),
      counter: nil
    )
    expect(Graver::Boot.devices("yes")).to match(
      devices: have_attributes(all: have_attributes(length: 4)),
      counter: be_truthy
    )
  end

  it "labels simulated values and never counts them on a real vehicle" do
    made_up = pad("8.0").merge(simulated: true)
    level = { item: "fluid_level", value: "1/2", simulated: true }
    seized = { axle: front, side: "left", item: "slide_pins", mark: "seized", simulated: true }
    expect(
      fields(
        ask(
          :post,
          inspections,
          { **inspection("2026-05-10", "60000", made_up), odometer: { value: "60000", simulated: true } }
        )
      )
    ).to eq("odometer.value" => "simulated")
    id =
      ask(
        :post,
        inspections,
        inspection("2026-05-10", "60000", made_up, pad("7.4", pad: "outer"), conditions: [level, seized])
      )[
        "id"
      ]
    logged = ask(:get, "/inspections/#{id}")
    expect(logged["readings"].map { |row| row["simulated"] }).to eq([true, false])
    expect(logged["marks"].map { |mark| mark["simulated"] }).to eq([true, true])
    expect(
      ask(:get, "/vehicles/#{car["id"]}")["axles"].first["reasons"].map { |reason| reason["rule"] }
    ).not_to include(/seen/)
    expect(ask(:get, "/axles/#{front}/wear")["axle"]["readings"]).to eq(1)
    expect(ask(:get, "/vehicles/#{car["id"]}/findings")["fluid"]["headroom_ml"]).to be_nil
    sample =
      Graver::Service::Household::AddVehicle.new(context).call(
        { name: "Sample", kind: "car", distance_unit: "km" },
        sample: true
      )
    ask(
      :post,
      "/vehicles/#{sample.id}/inspections",
      inspection("2026-05-10", "60000", { **made_up, axle: sample.axles.first.id })
    )
    expect(ask(:get, "/axles/#{sample.axles.first.id}/wear")["axle"]["readings"]).to eq(1)
    get "/api/v1/vehicles/#{sample.id}/log.csv"
    expect(last_response.body.lines.length).to eq(1)
  end
end
