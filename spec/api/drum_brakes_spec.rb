# frozen_string_literal: true

require_relative "../support/job_helper"

# Figures are made up: common practice, no source.
RSpec.describe "Drum brakes in the API" do
  include JobHelper

  let(:rear) { car["axles"].last["id"] }

  def drum(side, *mm, **more)
    { axle: rear, part: "drum", side:, event: "reading", method: "caliper", unit: "mm", values: mm, **more }
  end

  def shoe(value, side: "left", shoe: "leading") = pad(value, side:, pad: shoe, axle: rear)

  def on_drums
    know(
      rear,
      ["caliper.kind", "drum_leading", nil],
      ["parking_brake.kind", "shoes", nil],
      ["lining.fixing", "bonded", nil],
      ["adjuster.kind", "star", nil],
      ["drum.retention", "screws", nil],
      %w[lining.new_thickness 5 mm],
      %w[lining.discard_thickness 1.5 mm]
    )
    know(
      rear,
      %w[drum.new_diameter 203 mm],
      %w[drum.maximum_diameter 205 mm],
      %w[drum_screw.torque 8 N·m],
      ["drum_screw.drive", "torx-30", nil],
      %w[wheel_nut.torque 120 N·m],
      ["wheel_nut.drive", "hex-17", nil],
      ["wheel_nut.count", "4", nil]
    )
  end

  describe "on file" do
    before { on_drums }

    def refused(*readings, **more)
      fields(ask(:post, inspections, inspection("2026-05-10", "60000", *readings, **more)))
    end

    it "takes shoes and drums where they are, and nothing else there" do
      expect(refused(drum("left", "203.4").merge(part: "rotor"))).to eq("readings.0.side" => "unknown_position")
      expect(refused(drum("left", "22.1").merge(axle: front))).to eq("readings.0.side" => "unknown_position")
      expect(refused(pad("4.1", axle: rear))).to eq("readings.0.side" => "unknown_position")
      stuck = { axle: rear, side: "left", item: "slide_pins", mark: "seized" }
      expect(refused(conditions: [stuck])).to eq("conditions.0.item" => "other_brake")
      expect(refused(pad("4.1", pad: "trailing"))).to eq("readings.0.side" => "unknown_position")
      ask(:post, inspections, inspection("2026-05-10", "60000", shoe("4.1"), drum("left", "203.4", "203,5")))
      expect(status).to eq(201)
      expect(context.store.inspections.of_vehicle(car["id"]).first.readings.map { |row| [row.part, row.pad] }).to eq(
        [%w[pad leading], ["drum", nil], ["drum", nil]]
      )
    end

    it "refuses a maximum that is no maximum, and a lining thinner when new" do
      know(rear, %w[drum.maximum_diameter 202 mm], %w[lining.discard_thickness 6 mm])
      expect(fields(JSON.parse(last_response.body)).values).to eq(%w[order order])
    end

    it "doubts a drum that shrank, and one smaller than when it was new" do
      ask(:post, inspections, inspection("2026-05-10", "60000", drum("left", "204.0")))
      asked = ask(:post, inspections, inspection("2026-05-12", "60200", drum("left", "203.2")))
      expect(fields(asked)).to eq("readings.0.values" => "questioned")
      expect(asked.dig("error", "fields", 0, "message")).to match(/203\.20?.mm.*204\.00?.mm/)
      asked = ask(:post, inspections, inspection("2026-05-12", "60200", drum("right", "201.0")))
      expect(asked.dig("error", "fields", 0, "message")).to include("203")
      ask(:post, inspections, inspection("2026-05-12", "60200", drum("left", "204.1")))
      expect(status).to eq(201)
    end

    it "says on an axle with discs again why its shoes' readings don't count" do
      wet = { axle: rear, side: "left", item: "cylinder", mark: "wet" }
      ask(:post, inspections, inspection("2026-05-10", "60000", shoe("1.2"), drum("left", "205.4"), conditions: [wet]))
      expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].last["state"]["severity"]).to eq("stop")
      know(rear, ["caliper.kind", "floating_slide_pins", nil])
      expect(status).to eq(200)
      vehicle = ask(:get, "/vehicles/#{car["id"]}")
      axle = vehicle["axles"].last
      expect([axle["brakes"], axle["state"]["severity"]]).to eq(%w[disc watch])
      expect(axle["corners"].flat_map { |corner| corner["pads"].map { |each| each["pad"] } }.uniq).to eq(
        %w[inner outer]
      )
      expect(vehicle["unusable"].map { |each| each["because"] }).to eq(["This axle has disc brakes now."] * 2)
      know(rear, ["caliper.kind", "drum_leading", nil])
      expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].last["state"]["severity"]).to eq("stop")
    end

    it "exports and imports shoes and drums unchanged" do
      ask(
        :post,
        inspections,
        inspection("2026-05-10", "60000", shoe("4,1"), drum("left", "203.4", "203,6", "203.5"), pad("8"))
      )
      text = get("/api/v1/vehicles/#{car["id"]}/log.csv", {}, { "HTTP_HOST" => "127.0.0.1" }).body
      row = CSV.parse(text, headers: true).find { |each| each["part"] == "drum" }
      # of its places the widest
      expect(row.to_h).to include("value" => "203.6", "places" => "203.4 / 203,6 / 203.5")
      expect(imported(text, car)).to include("readings" => 0, "duplicates" => 3)
      before = stored(car)
      discs = ask(:post, "/vehicles", { name: "Other", kind: "car" })
      expect(imported(text, discs)["faults"].map { |fault| fault["message"] }).to include(
        match(/“leading”.*has disc brakes/)
      )
      twin = ask(:post, "/vehicles", { name: "Twin", kind: "car" })
      know(twin["axles"].last["id"], ["caliper.kind", "drum_leading", nil])
      expect(imported(text, twin)).to include("readings" => 3)
      expect(stored(twin)).to eq(before)
    end

    def stored(vehicle)
      rows = context.store.inspections.of_vehicle(vehicle["id"]).flat_map(&:readings)
      rows.map { |row| row.to_h.slice(:part, :side, :pad, :event, :method, :value, :unit, :place) }
    end

    def imported(text, vehicle)
      header "Host", "127.0.0.1"
      header "Content-Type", "text/csv"
      post("/api/v1/vehicles/#{vehicle["id"]}/imports?name=mine.csv", text)
      table = JSON.parse(last_response.body)
      ask(:post, "/imports/#{table["id"]}/trial", { mapping: table["guess"] }).tap do
        ask(:post, "/imports/#{table["id"]}/run", { mapping: table["guess"] })
        200.times { ask(:get, "/imports/#{table["id"]}")["state"] == "running" ? sleep(0.02) : break }
      end
    end
  end

  describe "a job" do
    let(:prepared_as) { "drums that are worn" }

    before { prepared(prepared_as) { on_drums && find_worn } }

    def find_worn
      shoes = %w[left right].product(%w[leading trailing]).map { |side, shoe| shoe("1.2", side:, shoe:) }
      drums = %w[left right].map { |side| drum(side, "203.4") }
      ask(:post, inspections, inspection("2026-05-10", "59900", *shoes, *drums))
    end

    def job_of(*works)
      job = pad_job(rear)
      @job = job
      ask(:put, address("/scope"), { axles: { rear.to_s => works }, reasons: { rear.to_s => "so it is" } })
      resolve_all
      ask(:patch, address, { state: "ready", because: "Parts are here" })
      tick_until
    end

    def rows_of(closed) = ask(:get, "/inspections/#{closed["closed"]["inspection"]}")["readings"]
    def data = ask(:get, "/axles/#{rear}/brake-data")["data"].to_h { |datum| [datum["key"], datum["value"]] }

    it "logs new shoes and drums, keeps their sizes, and rejects worn ones" do
      job_of("brake_shoes", "drums_new")
      bad = [{ axle: rear, part: "pad", value: "1.4" }, { axle: rear, part: "drum", value: "205.1" }]
      expect(fields(finish(fitted: bad))).to eq("fitted.#{rear}.pad" => "too_thin", "fitted.#{rear}.drum" => "too_wide")
      good = [{ axle: rear, part: "pad", value: "4.8" }, { axle: rear, part: "drum", value: "203.1" }]
      rows = rows_of(finish(fitted: good)).select { |row| row["event"] == "fit" }
      expect(rows.map { |row| row.values_at("part", "value") }).to contain_exactly(%w[pad 4.8], %w[drum 203.1])
      expect(context.store.brake_data.current(rear).transform_values(&:value)).to include(
        "lining.new_thickness" => "4.8",
        "drum.new_diameter" => "203.1"
      )
      axle = ask(:get, "/vehicles/#{car["id"]}")["axles"].last
      expect(axle["state"]["severity"]).not_to eq("stop")
      # the old drums' readings went with them
      expect(axle["corners"].map { |corner| corner["drum"]["reading"] }).to eq([nil, nil])
    end

    it "says which work each choice about the drums is" do
      job = pad_job(rear)
      scoped =
        ask(
          :put,
          "/jobs/#{job["id"]}/scope",
          { axles: { rear.to_s => %w[brake_shoes drums_new] }, reasons: { rear.to_s => "so it is" } }
        )
      axle = scoped["scope"]["axles"].find { |each| each["id"] == rear }
      expect(axle["rotors"]).to include("chosen" => "new", "works" => { "new" => "drums_new", "turn" => "drums_turn" })
    end

    it "keeps the brake a drum until the job is done" do
      job_of("brake_shoes")
      change = -> { know(rear, ["caliper.kind", "floating_slide_pins", nil]) }
      expect(fields(change.call)).to eq("entries.0.value" => "conflict")
      know(rear, ["caliper.kind", "drum_servo", nil])
      expect(status).to eq(200)
      finish(fitted: [{ axle: rear, part: "pad", value: "4.8" }])
      change.call
      expect(status).to eq(200)
    end

    it "logs turned drums side by side" do
      job_of("brake_shoes", "drums_turn")
      rows = rows_of(finish(fitted: [{ axle: rear, part: "drum", value: "204.0" }]))
      turned = rows.select { |row| row["event"] == "resurfaced" }
      expect(turned.map { |row| row.values_at("part", "side", "value") }).to eq(
        [%w[drum left 204.0], %w[drum right 204.0]]
      )
    end
  end
end
