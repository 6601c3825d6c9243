# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "An axle in the API" do
  include ApiHelper

  describe "brake data" do
    it "keeps values as entered with their source, and all earlier ones" do
      know(front, %w[pad.new_thickness 15/32 in], ["caliper.kind", "floating_slide_pins", nil])
      know(front, %w[pad.new_thickness 11,5 mm])
      field = ask(:get, "/axles/#{front}/brake-data")["fields"].find { |each| each["key"] == "pad.new_thickness" }
      expect(field).to include(
        "value" => "11,5",
        "unit" => "mm",
        "source" => "manual",
        "earlier" => [a_string_starting_with("15/32 in")]
      )
    end

    it "questions a torque and rejects impossible values, all at once" do
      know(front, ["caliper.kind", "floating_slide_pins", nil], %w[slide_pin_bolt.torque 216 N·m])
      field = ask(:get, "/axles/#{front}/brake-data")["fields"].find { |each| each["key"] == "slide_pin_bolt.torque" }
      expect(field["doubt"]).to include("216 lbf·in meant")
      answer =
        know(
          front,
          %w[wheel_nut.torque 0 N·m],
          %w[wheel_nut.torque 10000 N·m],
          %w[pad.new_thickness abc mm],
          ["caliper.kind", "magic", nil],
          %w[pad.backing_plate 5 furlong],
          ["nonsense", "1", nil],
          ["wheel_nut.count", "4.5", nil],
          %w[rotor.new_thickness 22 mm]
        )
      expect(fields(answer)).to eq(
        "entries.0.value" => "out_of_range",
        "entries.1.value" => "out_of_range",
        "entries.2.value" => "not_a_number",
        "entries.3.value" => "unknown_choice",
        "entries.4.unit" => "unknown_unit",
        "entries.5.key" => "unknown_key",
        "entries.6.value" => "not_whole"
      )
      expect(context.store.brake_data.current(front).keys).to contain_exactly("caliper.kind", "slide_pin_bolt.torque")
    end

    it "rejects a new thickness at or under the limit" do
      know(front, %w[rotor.discard_thickness 23 mm])
      expect(fields(know(front, %w[rotor.new_thickness 22 mm]))).to eq("entries.0.value" => "order")
    end
  end

  describe "inspections" do
    let(:path) { inspections }

    before do
      know(front, %w[pad.new_thickness 11 mm], %w[rotor.new_thickness 25 mm], %w[rotor.discard_thickness 23 mm])
    end

    it "keeps readings as entered and forecasts from them" do
      rotor = {
        axle: front,
        part: "rotor",
        side: "left",
        event: "reading",
        method: "micrometer",
        unit: "in",
        values: %w[0.9650 0.9646]
      }
      ask(:post, path, inspection("2025-05-16", "40000", { axle: front, part: "pad", event: "fit" }, note: "new"))
      ask(
        :post,
        path,
        inspection(
          "2026-05-16",
          "60000",
          pad("8,2"),
          pad("5/16", pad: "outer", unit: "in"),
          pad("7", side: "right", method: "gauge", upper: "8"),
          rotor
        )
      )
      expect(status).to eq(201)
      rows = context.store.inspections.of_vehicle(car["id"]).last.readings
      kept = rows.map { |row| [row.value, row.upper, row.unit, row.place] }
      expect(kept).to eq(
        [
          ["8,2", nil, "mm", 1],
          ["5/16", nil, "in", 1],
          ["7", "8", "mm", 1],
          ["0.9650", nil, "in", 1],
          ["0.9646", nil, "in", 2]
        ]
      )
      wear = ask(:get, "/axles/#{front}/wear")
      expect(wear["readings"].map { |reading| reading["mm"] }).to eq([8.2, 7.938, 7.5, 24.501])
      life = wear["axle"]["pads_life"]["distance_km"]
      expect(life["p10"]).to be < life["p50"]
      # straight on, 2.8 mm in 20,000 km leave 37,000 km; the first of four pads comes earlier
      expect(life["p50"]).to be_between(20_000, 40_000)
      expect(ask(:get, "/axles/#{front}/wear?limit_mm=1,6")["axle"]["pads_life"]["distance_km"]["p50"]).to be >
        life["p50"]
      expect(fields(ask(:get, "/axles/#{front}/wear?limit_mm=huge"))).to eq("limit_mm" => "not_a_number")
      expect(ask(:get, "/axles/#{front}/wear?limit_mm=%ff")["error"]).to include("code" => "malformed")
      broken =
        Rack::MockRequest.new(Graver::Boot.rack(context)).get(
          "http://127.0.0.1/api/v1/axles/#{front}/wear",
          "HTTP_HOST" => "127.0.0.1",
          "REMOTE_ADDR" => "127.0.0.1",
          "QUERY_STRING" => "limit_mm=%"
        )
      expect([broken.status, JSON.parse(broken.body)["error"]["code"]]).to eq([400, "malformed"])
    end

    it "rejects by field and saves nothing" do
      answer =
        ask(
          :post,
          path,
          inspection(
            "2026-13-45",
            "12k",
            pad("abc"),
            pad("8.1", side: "right", upper: "x", method: "gauge"),
            pad("400", side: "right", pad: "outer")
          )
        )
      expect(fields(answer)).to eq(
        "date" => "not_a_day",
        "odometer.value" => "not_a_number",
        "readings.0.values.0" => "not_a_number",
        "readings.1.upper" => "not_a_number",
        "readings.2.values.0" => "out_of_range"
      )
      expect(fields(ask(:post, path, inspection("2026-05-17", "", *[])))).to eq(
        "date" => "in_future",
        "odometer.value" => "missing",
        "readings" => "missing"
      )
      expect(
        fields(ask(:post, path, inspection("2026-05-16", "100", { axle: front, part: "pad", event: "reading" })))
      ).to include("readings.0.method" => "invalid")
      expect(context.store.inspections.of_vehicle(car["id"])).to be_empty
    end

    it "rejects an odometer that runs back, and accepts an older day" do
      ask(:post, path, inspection("2026-05-01", "60000", pad("8.2")))
      expect(fields(ask(:post, path, inspection("2026-05-16", "59000", pad("8.0"))))).to eq(
        "odometer.value" => "runs_back"
      )
      expect(fields(ask(:post, path, inspection("2026-04-01", "61000", pad("8.3"))))).to eq(
        "odometer.value" => "runs_back"
      )
      ask(:post, path, inspection("2026-04-01", "59000", pad("8.3")))
      expect(status).to eq(201)
    end

    it "questions a reading thicker than new until it is kept as doubtful" do
      thick = inspection("2026-05-16", "60000", pad("12.4"))
      expect(ask(:post, path, thick)["error"]["fields"]).to contain_exactly(
        include(
          "field" => "readings.0.values",
          "code" => "questioned",
          "message" => /Without the backing plate it would be 7\.4 mm/
        )
      )
      thick[:readings][0][:answer] = "keep"
      ask(:post, path, thick)
      expect([status, context.store.inspections.of_vehicle(car["id"]).last.readings.first.doubt]).to match(
        [201, /more friction material than/]
      )
    end

    it "previews a half-entered inspection without saving" do
      preview =
        ask(
          :post,
          "#{path}/preview",
          inspection("", "", pad("8.4"), pad("9.", pad: "outer"), pad("3.1", side: "right"))
        )
      corner = preview["axles"].first["corners"].first
      expect(corner["pads"].map { |pad| pad.values_at("pad", "now_mm") }).to eq([["inner", 8.4], ["outer", nil]])
      expect(preview["faults"].map { |fault| fault["field"] }).to include(
        "odometer.value",
        "date",
        "readings.1.values.0"
      )
    end
  end

  it "keeps a draft and never overwrites another window's" do
    path = "/vehicles/#{car["id"]}/draft"
    expect(ask(:get, path)).to eq("draft" => nil)
    first = ask(:put, path, { content: { odometer: "612" }, revision: 0 })
    expect(ask(:put, path, { content: { odometer: "61200" }, revision: first["revision"] })["revision"]).to eq(
      first["revision"] + 1
    )
    ask(:put, path, { content: { odometer: "other" }, revision: first["revision"] })
    expect(status).to eq(409)
    expect(ask(:get, path)["draft"]["content"]).to eq("odometer" => "61200")
    ask(:delete, path)
    expect([status, ask(:get, path)]).to eq([200, { "draft" => nil }])
  end

  it "refuses to change or delete evidence in the database" do
    ask(:post, inspections, inspection("2026-05-01", "60000", pad("8.2")))
    database = context.store.instance_variable_get(:@database)
    expect { database[:readings].update(value: "9.9") }.to raise_error(Sequel::DatabaseError, /evidence/)
    expect { database[:inspections].delete }.to raise_error(Sequel::DatabaseError)
    expect(database.fetch("PRAGMA journal_mode").single_value).to eq("wal")
    expect(database.fetch("PRAGMA foreign_keys").single_value).to eq(1)
  end
end
