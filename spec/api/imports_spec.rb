# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Import and export in the API" do
  include ApiHelper

  def upload(text, vehicle: car)
    header "Host", "127.0.0.1"
    header "Content-Type", "text/csv"
    post("/api/v1/vehicles/#{vehicle["id"]}/imports?name=mine.csv", text)
    JSON.parse(plain(last_response.body))
  end

  def trial(table, mapping = table["guess"]) = ask(:post, "/imports/#{table["id"]}/trial", { mapping: })

  # Runs it and waits, as the screen does.
  def run(table, mapping = table["guess"])
    ask(:post, "/imports/#{table["id"]}/run", { mapping: })
    200.times { ask(:get, "/imports/#{table["id"]}")["state"] == "running" ? sleep(0.02) : break }
    ask(:get, "/imports/#{table["id"]}")
  end

  def log(vehicle)
    get("/api/v1/vehicles/#{vehicle["id"]}/log.csv", {}, { "HTTP_HOST" => "127.0.0.1" }).body.force_encoding("UTF-8")
  end
  def stored(vehicle = car) = context.store.inspections.of_vehicle(vehicle["id"])

  let(:mine) do
    "Day;km;FL inner;FR outer (in);front left rotor;Remarks\n12.04.2024;61.200;8,4;5/16;23,95;first\n13.04.2024;61 300 km;8,3;;;\n"
  end

  it "guesses the columns of a person's own table" do
    table = upload(mine)
    expect(table["guess"]).to include(
      "date" => {
        "column" => 0,
        "format" => "dmy"
      },
      "odometer" => include("column" => 1),
      "note" => {
        "column" => 5
      }
    )
    expect(trial(table)).to include("readings" => 4, "inspections" => 2, "faults" => [], "from" => "2024-04-12")
    expect(run(table)).to include("state" => "done", "result" => include("readings" => 4))
    rows =
      stored.flat_map do |inspection|
        inspection.readings.map do |row|
          [inspection.odometer_km, inspection.note, row.side, row.pad, row.value, row.unit]
        end
      end
    expect(rows).to eq(
      [
        [61_200.0, "first", "left", "inner", "8,4", "mm"],
        [61_200.0, "first", "right", "outer", "5/16", "in"],
        [61_200.0, "first", "left", nil, "23,95", "mm"],
        [61_300.0, nil, "left", "inner", "8,3", "mm"]
      ]
    )
  end

  it "imports nothing twice and undoes an import" do
    run(upload(mine))
    expect(trial(again = upload(mine))).to include("readings" => 0, "duplicates" => 4)
    ask(:post, "/imports/#{again["id"]}/undo")
    expect(status).to eq(409)
    done = ask(:get, "/vehicles/#{car["id"]}/imports")["imports"].first
    ask(:post, "/imports/#{done["id"]}/run", { mapping: again["guess"] })
    expect(status).to eq(409)
    expect(ask(:post, "/imports/#{done["id"]}/undo")["state"]).to eq("undone")
    expect([stored, trial(again)["readings"]]).to eq([[], 4])
  end

  it "reports each bad row by line and reason, and imports the rest" do
    ask(:post, inspections, inspection("2024-05-01", "62000", pad("8.0")))
    rows = %w[
      2024-02-30,61000,front,left,pad,inner,reading,caliper,8,mm
      2024-04-01,61000,front,left,pad,inner,reading,caliper,🛞,mm
      2024-04-02,61000,middle,left,pad,inner,reading,caliper,8,mm
      2024-04-03,99000,front,left,pad,inner,reading,caliper,8,mm
      2024-04-04,61000,F,L,pad,inside,,caliper,8.1,mm
      2024-04-05,61100,front,left,pad,inner,reading,caliper,NaN,mm
      2024-04-06,1e9,front,left,pad,inner,reading,caliper,8,mm
      2024-04-07,61200,front,left,pad,inner,reading,caliper,-3,mm
    ]
    table = upload(["date,odometer,axle,side,part,pad,event,method,value,unit", *rows].join("\n"))
    found = trial(table)
    expect(found).to include("readings" => 1, "bad_rows" => 7)
    expect(found["faults"].map { |fault| fault.values_at("line", "column") }).to eq(
      [[2, "date"], [3, "value"], [4, "axle"], [5, "odometer"], [7, "value"], [8, "odometer"], [9, "value"]]
    )
    expect(found["faults"][3]["message"]).to eq(
      "The odometer goes down compared with 62,000 km on 1 May 2024 in the log. Check the date or the figure."
    )
  end

  it "exports and imports its own log unchanged" do
    readings = [
      pad("8,4"),
      pad("7/32", pad: "outer", unit: "in"),
      pad("5", side: "right", method: "gauge", upper: "6"),
      pad("1/2", side: "right", pad: "outer", method: "percent", unit: "share"),
      {
        axle: front,
        part: "rotor",
        side: "left",
        event: "reading",
        method: "micrometer",
        unit: "mm",
        values: %w[23.84 23,81 23.9]
      }
    ]
    ask(
      :post,
      inspections,
      inspection(
        "2025-01-10",
        "61200,5",
        { axle: front, part: "pad", event: "fit" },
        note: "new, “both” sides\nand more"
      )
    )
    ask(:post, inspections, inspection("2026-01-10", "72000", *readings))
    more = [
      pad("21", pad: "outer", unit: "100th", method: "vernier"),
      pad("10.1", side: "right", overall: true),
      pad(nil, side: "left").merge(event: "metal", values: []),
      pad("9.9", side: "right", pad: "outer", answer: "keep")
    ]
    ask(:post, inspections, inspection("2026-02-10", "73000", *more))
    expect(status).to eq(201)
    text = log(car)
    expect(text.lines.first.strip).to eq(
      "date,odometer,odometer_unit,axle,side,part,pad,event,method,value,upper,unit,overall,note,places,entered,doubt"
    )
    twin = ask(:post, "/vehicles", { name: "Twin", kind: "car" })
    table = upload(text.dup, vehicle: twin)
    expect(trial(table)["faults"]).to eq([])
    run(table)
    expect(log(twin)).to eq(text)
    kept =
      lambda do |vehicle|
        stored(vehicle).flat_map do |inspection|
          inspection.readings.map do |row|
            row.to_h.slice(:event, :part, :side, :pad, :place, :method, :value, :upper, :unit, :overall, :doubt)
          end
        end
      end
    expect(kept[twin]).to eq(kept[car].map { |row| row[:event] == "metal" ? row.merge(method: nil, unit: nil) : row })
  end

  it "rejects what isn't a table, and impossible mappings" do
    expect(fields(upload(""))).to eq("file" => "empty")
    expect(fields(upload("just words"))).to eq("file" => "no_columns")
    expect(fields(upload(Array.new(300, "x").join(",")))).to eq("file" => "too_wide")
    upload("a,b\n\xFF\xFE,\"1\n")
    expect(status).to eq(201)
    table = upload(mine)
    expect(
      fields(trial(table, { date: { column: 99, format: "moon" }, odometer: { column: nil }, readings: [] }))
    ).to eq(
      "mapping.date.column" => "mapping",
      "mapping.date.format" => "mapping",
      "mapping.odometer.column" => "mapping",
      "mapping.readings" => "mapping"
    )
    [{ mapping: [] }, { mapping: { date: 1 } }, {}].each do |body|
      ask(:post, "/imports/#{table["id"]}/trial", body).then { expect(status).to eq(422) }
    end
    ask(:post, "/imports/4711/trial", { mapping: table["guess"] })
    expect(status).to eq(404)
  end

  # Material only goes: a set of 10.2 mm after one of 3.5 mm is a new one (common practice, no source).
  it "asks row by row about unnamed new sets, and assumes the unexplained ones" do
    plain =
      "date;odometer;FL inner;FR inner\n2023-05-01;40000;5.5;5.6\n2024-05-01;60000;3.5;3.6\n2025-05-01;70000;10.2;10.3\n"
    table = upload(plain)
    expect(trial(table)["renewals"]).to contain_exactly(
      include(
        "line" => 4,
        "assumed" => true,
        "new" => true,
        "text" => /Front, 1 May 2025: pad 10\.[23] mm after 3\.[56] mm/
      )
    )
    run(table)
    expect(stored.map { |inspection| inspection.readings.map(&:event) }).to eq(
      [%w[reading reading], %w[reading reading], %w[fit reading reading]]
    )
    expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].first["state"]["severity"]).not_to eq("stop")
  end

  it "accepts the owner's answer on a new set, or keeps the reading as doubtful" do
    plain = "date;odometer;FL inner\n2024-05-01;60000;6.0\n2025-05-01;70000;7.5\n2025-06-01;71000;7.4\n"
    table = upload(plain)
    asked = trial(table)["renewals"]
    expect(asked.map { |each| each.values_at("line", "assumed", "new") }).to eq([[3, false, false]])
    said = table["guess"].merge("renewals" => [{ line: 3, new: true }])
    expect(trial(table, said)["renewals"].map { |each| each.values_at("line", "new") }).to eq([[3, true]])
    run(table)
    expect(stored.flat_map(&:readings).map { |row| [row.event, row.doubt.nil?] }).to eq(
      [["reading", true], ["reading", false], ["reading", true]]
    )
  end
end
