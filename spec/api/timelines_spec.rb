# frozen_string_literal: true

require "icalendar"
require_relative "../support/api_helper"

RSpec.describe "The timeline in the API" do
  include ApiHelper

  def timeline = ask(:get, "/vehicles/#{car["id"]}/timeline")
  def kinds(timeline) = timeline["events"].map { |event| event["kind"] }
  def plan(**given) = ask(:post, "/vehicles/#{car["id"]}/planned-events", given)
  def wear = ask(:get, "/axles/#{front}/wear")["axle"]["pads_life"]
  def what_if(query = "") = ask(:get, "/axles/#{front}/what-if#{query}")

  before do
    know(front, %w[pad.new_thickness 11 mm])
    ask(:post, inspections, inspection("2025-05-10", "60000", { axle: front, part: "pad", event: "fit" }))
    ask(:post, inspections, inspection("2026-05-10", "75000", *all_pads("6.6", "6.9", "6.7", "6.9")))
  end

  it "lists what is due by date" do
    expect(kinds(timeline)).to include("look", "due", "order")
    expect(timeline["events"].map { |event| event["date"] }).to eq(
      timeline["events"].map { |event| event["date"] }.sort
    )
    order, due =
      %w[order due].map { |kind| Date.iso8601(timeline["events"].find { |event| event["kind"] == kind }["date"]) }
    expect((due - order).to_i).to eq(7)
    expect(timeline["sessions"].map { |session| session["axles"] }).to eq([["front"]])
  end

  # The same distribution read the other way round: half of the ways on have met the limit by the middle date.
  it "returns each axle's chance of being at its limit by date" do
    steps = ask(:get, "/vehicles/#{car["id"]}/risk-by-date")["steps"]
    expect(steps.first).to include("days" => 0, "date" => "2026-05-16", "km" => 0)
    expect(steps.each_cons(2).map { |one, other| other["days"] - one["days"] }.uniq).to eq([14])
    pads = steps.map { |step| step["axles"].first["pads"] }
    expect(pads).to eq(pads.sort)
    expect([pads.first, pads.last]).to match([be < 0.01, be > 0.9])
    middle, early =
      %w[p50 p10].map { |chance| (Date.iso8601(wear["date"][chance]) - Date.new(2026, 5, 16)).to_i / 14.0 }
    [[middle, 0.5], [early, 0.1]].each do |at, chance|
      expect(chance).to be_between(pads[at.floor] - 0.02, pads[at.ceil] + 0.02)
    end
    expect(steps.map { |step| step["axles"].last.values_at("pads", "rotors") }.uniq).to eq([[nil, nil]])
    ask(:get, "/vehicles/999/risk-by-date")
    expect(status).to eq(404)
  end

  it "applies and removes trips and changes of driving" do
    before = wear
    plan(
      kind: "trip",
      name: "Over the pass",
      from: "2026-06-01",
      to: "2026-06-14",
      distance: "4,000".delete(","),
      wear_factor: "2"
    )
    expect(status).to eq(201)
    expect(timeline["planned"].first).to include("kind" => "trip", "distance" => "4000", "wear_factor" => "2")
    expect(wear["distance_km"]["p50"]).to be < before["distance_km"]["p50"]
    expect(wear["date"]["p50"]).to be < before["date"]["p50"]
    path, with_trip = "/planned-events/#{timeline["planned"].first["id"]}", wear
    ask(:delete, path)
    expect(wear).to eq(before)
    ask(:post, "#{path}/restore")
    expect(wear).to eq(with_trip)
    ask(:delete, path)
    ask(:delete, "/planned-events/999")
    expect(status).to eq(404)
    plan(kind: "driving", from: "2026-05-16", distance: "60000")
    expect(wear["distance_km"]).to eq(before["distance_km"])
    expect(wear["date"]["p50"]).to be < before["date"]["p50"]
  end

  # A trip wears before its end, so by then no less is worn than without it; later in the year more of the usual driving
  # is done by its end, and all of what the trip wears still is.
  it "previews and moves a trip" do
    plan(kind: "trip", name: "Over the pass", from: "2026-06-01", to: "2026-06-14", distance: "3000", wear_factor: "2")
    trip = timeline["planned"].first["id"]
    moved = ->(from) { ask(:get, "/planned-events/#{trip}/preview-move?from=#{from}") }
    pads = ->(answer) { answer["axles"].first.values_at("pads_before", "pads") }
    expect(moved["2026-06-01"]).to include("from" => "2026-06-01", "to" => "2026-06-14")
    same = pads[moved["2026-06-01"]]
    expect(same).to eq([same.first] * 2)
    later = pads[moved["2027-03-01"]]
    expect(later.first).to eq(same.first)
    expect(later.last).to be > same.first + 0.1
    steps = ask(:get, "/vehicles/#{car["id"]}/risk-by-date")["steps"]
    around = %w[2026-06-13 2026-06-27].map { |day| steps.find { |step| step["date"] == day }["axles"].first["pads"] }
    expect(same.first).to be_between(*around)
    expect(timeline["planned"].first["from"]).to eq("2026-06-01")

    ask(:post, "/planned-events/#{trip}/move", { from: "2027-03-01" })
    expect(timeline["planned"].first).to include("from" => "2027-03-01", "to" => "2027-03-14")
    expect(pads[moved["2027-03-01"]]).to eq([later.last] * 2)
    %w[soon 2020-01-01 2099-01-01].each do |day|
      expect(fields(moved[day]).keys).to eq(["from"]), day
      expect(fields(ask(:post, "/planned-events/#{trip}/move", { from: day })).keys).to eq(["from"]), day
    end
    plan(kind: "driving", from: "2026-05-20", distance: "30000")
    driving = timeline["planned"].find { |row| row["kind"] == "driving" }["id"]
    expect(fields(ask(:post, "/planned-events/#{driving}/move", { from: "2026-06-20" })).keys).to eq(["from"])
    ask(:get, "/planned-events/999/preview-move?from=2026-06-20")
    expect(status).to eq(404)
  end

  # common practice, no source: wheel nuts again after 80 to 160 km; some 40 km a day are driven here
  it "asks for the nuts again after a job, until that distance is driven" do
    finished =
      lambda do |day|
        job = context.store.jobs.add(axle_id: front, procedure: "pads", planned_for: nil, at: "t")
        context.store.jobs.record_event(
          job.id,
          "finished",
          { day:, hours: nil, spent: 0.0, parts: [], sets: [], estimate: nil, inspection: nil },
          at: "t"
        )
      end
    nuts = -> { timeline["events"].select { |event| event["kind"] == "retorque" } }
    expect(nuts.call).to be_empty
    finished.call("2026-05-15")
    expect(nuts.call).to contain_exactly(
      include(
        "text" => "Torque the front lug nuts again, 80 to 160 km after the job",
        "date" => be_between("2026-05-16", "2026-05-18")
      )
    )
    finished.call("2026-05-08")
    expect(nuts.call.length).to eq(1)
    ask(:patch, "/vehicles/#{car["id"]}", { distance_unit: "mi" })
    expect(nuts.call.first["text"]).to include("50 to 100 mi")
  end

  it "schedules the first reading of new pads until it is done" do
    ask(:post, inspections, inspection("2026-05-16", "75240", { axle: front, part: "pad", event: "fit" }))
    expect(timeline["events"].find { |event| event["kind"] == "first_reading" }).to include(
      "text" => include("First reading of the new front pads"),
      "date" => be > "2026-05-16"
    )
    ask(:post, inspections, inspection("2026-05-16", "75240", *all_pads("10.9", "11.0", "10.9", "11.0")))
    expect(kinds(timeline)).not_to include("first_reading")
  end

  it "rejects by field" do
    refused =
      lambda do |**given|
        answer = plan(**given)
        [status, fields(answer).keys.sort]
      end
    expect(refused.call(kind: "trip", from: "soon", distance: "abc", wear_factor: "99")).to eq(
      [422, %w[distance from wear_factor]]
    )
    expect(refused.call(kind: "trip", from: "2026-06-10", to: "2026-06-01", distance: "0")).to eq(
      [422, %w[distance to]]
    )
    expect(refused.call(kind: "inspection", from: "2020-01-01")).to eq([422, ["from"]])
    expect(refused.call(kind: "driving", from: "2026-06-10", distance: "-5")).to eq([422, ["distance"]])
    expect(refused.call(kind: "holiday", from: "2026-06-10")).to eq([422, ["kind"]])
    expect(timeline["planned"]).to be_empty
  end

  it "uses a logged odometer for the driving and rejects one that runs back" do
    ask(:post, "/vehicles/#{car["id"]}/odometer", { date: "2026-05-16", odometer: { value: "75900" } })
    expect(status).to eq(201)
    expect(ask(:get, "/vehicles/#{car["id"]}")).to include("odometer_km" => 75_900, "odometer_estimated" => false)
    ask(:post, "/vehicles/#{car["id"]}/odometer", { date: "2026-05-16", odometer: { value: "7590" } })
    expect(fields(JSON.parse(plain(last_response.body)))).to eq("odometer.value" => "runs_back")
  end

  it "applies the owner's schedule settings" do
    ask(:put, "/schedule", { lead_days: 21, trouble: 3 })
    order, due =
      %w[order due].map { |kind| Date.iso8601(timeline["events"].find { |event| event["kind"] == kind }["date"]) }
    expect((due - order).to_i).to eq(21)
    expect(fields(ask(:put, "/schedule", { trouble: 4 }))).to eq("trouble" => "out_of_range")
    expect(ask(:get, "/schedule")["choices"].to_h { |choice| choice.values_at("id", "value") }).to include(
      "lead_days" => 21,
      "trouble" => 3,
      "combine_km" => 5000
    )
  end

  # RFC 5545, read back by a parser library; lines of at most 75 octets ended by CR LF (3.1).
  it "returns calendars that an RFC 5545 parser accepts" do
    plan(
      kind: "inspection",
      name: "Yearly; with, \"signs\" and ümläuts that fold the line of the calendar",
      from: "2026-09-01"
    )
    get("/api/v1/vehicles/#{car["id"]}/calendar.ics?save=1", {}, { "HTTP_HOST" => "127.0.0.1" })
    expect(last_response.headers).to include("content-type" => %r{text/calendar}, "content-disposition" => /attachment/)
    text = last_response.body
    expect(text.lines.map { |line| line.chomp.bytesize }.max).to be <= 75
    expect(text.lines).to all(end_with("\r\n"))
    calendar = Icalendar::Calendar.parse(text).first
    expect(calendar.events.map { |event| event.dtstart.to_date.iso8601 }.sort).to eq(
      timeline["events"].map { |event| event["date"] }.sort
    )
    # RFC 5545, 3.8.6.3: a trigger is relative to the start unless it says otherwise
    expect(text.scan(/^TRIGGER:PT9H\r$/).length).to eq(calendar.events.length)
    # RFC 5545, 3.6.1: the end of an all-day event is the day after
    expect(calendar.events.map { |event| event.dtend.to_date - event.dtstart.to_date }).to all(eq(1))
    expect(calendar.events.map { |event| event.uid.to_s }.uniq.length).to eq(calendar.events.length)
    expect(calendar.events.map { |event| event.summary.to_s }).to include(/Yearly; with, "signs" and/)
    get("/api/v1/calendar.ics", {}, { "HTTP_HOST" => "127.0.0.1" })
    expect(Icalendar::Calendar.parse(last_response.body).first.events.length).to eq(calendar.events.length)
  end

  it "leaves the present forecast alone when another limit is tried" do
    now, tried = what_if, what_if("?limit_mm=5")
    expect(tried["before"]).to eq(now["before"])
    expect(tried["after"]["pads_life"]["distance_km"]["p50"]).to be < now["after"]["pads_life"]["distance_km"]["p50"]
  end

  it "returns what-ifs next to the present forecast" do
    expect(what_if["before"]).to eq(what_if["after"])
    town = what_if("?use=town")
    expect(town["after"]["pads_life"]["distance_km"]["p50"]).to be <
      0.7 * town["before"]["pads_life"]["distance_km"]["p50"]
    expect(town["said"]).to eq(
      ["Mostly town: wear factor 1.9 (common practice of people who service their own brakes; no published source)"]
    )
    more = what_if("?year_distance=30000")["after"]["pads_life"]
    expect(more["distance_km"]).to eq(town["before"]["pads_life"]["distance_km"])
    expect(more["date"]["p50"]).to be < town["before"]["pads_life"]["date"]["p50"]
    fresh = what_if("?pads=same")["after"]["pads_life"]["distance_km"]
    # 8 mm at some 0.29 mm in 1,000 km
    expect(fresh["p50"]).to be_between(20_000, 32_000)
    bad = what_if("?use=space&factor=x&freed=top&pads_mm=1&pads=odd&year_distance=-3")
    expect(fields(bad).keys.sort).to eq(%w[factor freed pads pads_mm use year_distance])
  end

  it "keeps each forecast and compares it with the outcome" do
    sureness = ask(:get, "/axles/#{front}/forecast-quality")
    expect(sureness["worth"].first["narrows"]).to be_between(0, 1)
    expect(sureness["backtest"]["forecasts"]).to match(
      [include("date" => "2026-05-10", "was_km" => nil, "interval_covered" => nil, "afterwards" => true)]
    )
    ask(
      :post,
      inspections,
      inspection("2026-05-16", "90000", *all_pads("2.4", "3.6", "3.3", "3.6")).merge(
        odometer: {
          value: "90000",
          keep: true
        }
      )
    )
    first = ask(:get, "/axles/#{front}/forecast-quality")["backtest"]
    # 6.6 at 75,000 and 2.4 at 90,000: 3 mm was met 12,857 km after the forecast
    expect(first["forecasts"].last).to include(
      "was_km" => be_within(2).of(12_857),
      "interval_covered" => true,
      "late" => false
    )
    expect(first["garage"]).to include("known" => be >= 1)
  end

  it "returns all vehicles on one scale", :demo do
    roads = ask(:get, "/timelines")["vehicles"]
    expect(roads.map { |line| line["vehicle_name"] }).to include("Juniper", "Mule", "Thistle", "Wren")
    expect(roads.flat_map { |line| kinds(line) }.uniq).to include("look", "due", "order", "fluid", "job")
    expect(
      roads.find { |line| line["vehicle_name"] == "Thistle" }["events"].find { |event| event["kind"] == "fluid" }[
        "text"
      ]
    ).to include("overdue")
  end
end
