# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Measuring in the API" do
  include ApiHelper

  def rear = car.fetch("axles").last.fetch("id")
  def stored = context.store.inspections.of_vehicle(car["id"])

  describe "an inspection of all wheels" do
    it "accepts both axles, runout, shoes, events, places, tools and units" do
      readings = [
        pad("8,4 mm"),
        pad("0.31 in", pad: "outer"),
        pad("40%", side: "right"),
        pad(nil, side: "right", pad: "outer").merge(event: "metal", values: []),
        { axle: front, part: "runout", side: "left", event: "reading", method: "dial", unit: "mm", values: ["0.04"] },
        {
          axle: rear,
          part: "shoe",
          side: "left",
          event: "reading",
          method: "caliper",
          unit: "mm",
          values: %w[2.1 1.8]
        },
        pad("9", axle: rear)
      ]
      ask(
        :post,
        inspections,
        inspection("2026-05-16", "60000", *readings, conditions: [{ item: "handbrake_clicks", value: "6" }])
      )
      expect(status).to eq(201)
      expect(stored.last.readings.map { |row| [row.event, row.method, row.value, row.unit, row.place] }).to eq(
        [
          ["reading", "caliper", "8,4", "mm", 1],
          ["reading", "caliper", "0.31", "in", 1],
          ["reading", "percent", "40", "percent", 1],
          ["metal", "caliper", nil, "mm", 1],
          ["reading", "dial", "0.04", "mm", 1],
          ["reading", "caliper", "2.1", "mm", 1],
          ["reading", "caliper", "1.8", "mm", 2],
          ["reading", "caliper", "9", "mm", 1]
        ]
      )
      expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].map { |axle| axle["readings"] }).to eq([4, 1])
      expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].first["state"]["severity"]).to eq("stop")
    end

    it "rejects each bad reading and mark at its field" do
      bad = [
        pad("-1"),
        pad("1e9"),
        pad("NaN"),
        pad(""),
        pad("🛞"),
        pad(["8", "0.3 in"]),
        pad("8", side: "right", instrument: 77),
        pad("8", axle: 4711),
        pad("9", unit: "percent", method: "rule"),
        {
          axle: front,
          part: "rotor",
          side: "left",
          event: "reading",
          method: "percent",
          unit: "percent",
          values: ["50"]
        },
        { axle: front, part: "runout", side: "left", event: "reading", method: "dial", unit: "mm", values: ["12"] }
      ]
      marks = [
        { item: "hose", axle: front, side: "left", mark: "golden" },
        { item: "soul", mark: "x" },
        { item: "pad", axle: front, side: "left", mark: "even" },
        { item: "fluid_level", value: "7" },
        { item: "handbrake_clicks", value: "1/2" },
        { item: "hose", axle: 99, side: "left", mark: "wet" }
      ]
      answer = ask(:post, inspections, inspection("2026-05-16", "60000", *bad, conditions: marks))
      expect(fields(answer)).to include(
        "readings.0.values.0" => "out_of_range",
        "readings.1.values.0" => "not_a_number",
        "readings.2.values.0" => "not_a_number",
        "readings.3.values.0" => "missing",
        "readings.4.values.0" => "not_a_number",
        "readings.5.values" => "units_differ",
        "readings.6.instrument" => "unknown_instrument",
        "readings.7.axle" => "unknown_axle",
        "readings.9.method" => "method_for_part",
        "readings.10.values.0" => "out_of_range",
        "conditions.0.mark" => "unknown_mark",
        "conditions.1.item" => "unknown_item",
        "conditions.2.face" => "unknown_position",
        "conditions.3.value" => "out_of_range",
        "conditions.4.value" => "not_whole",
        "conditions.5.axle" => "unknown_axle"
      )
      expect([status, stored]).to eq([422, []])
      ask(:post, inspections, { date: 5, odometer: "x", readings: [3, nil, { axle: "front" }], conditions: "many" })
      expect(status).to eq(422)
      ask(:post, inspections, inspection("2026-05-16", "60000", pad("8"), note: "x" * 10_000_000))
      expect(status).to eq(413)
    end

    it "applies marks to the axle's state until newer marks or new parts" do
      seen =
        lambda do |day, km, *marks, readings: [pad("9")]|
          ask(
            :post,
            inspections,
            inspection(
              day,
              km,
              *readings,
              conditions: marks.map { |item, mark, face| { axle: front, side: "left", item:, mark:, face: } }
            )
          )
        end
      severity = -> { ask(:get, "/vehicles/#{car["id"]}")["axles"].first["state"]["severity"] }
      seen["2026-05-01", "60000", %w[pad contaminated inner], %w[slide_pins stiff]]
      expect(severity.call).to eq("stop")
      seen["2026-05-02", "60010", readings: [{ axle: front, part: "pad", event: "fit" }]]
      expect(severity.call).to eq("watch")
      ask(
        :post,
        inspections,
        inspection("2026-05-03", "60020", conditions: [{ item: "symptom", mark: "sinking_pedal" }])
      )
      vehicle = ask(:get, "/vehicles/#{car["id"]}")
      expect([vehicle["state"]["severity"], vehicle["seen"].first["caution"]]).to match(["stop", /Do not drive/])
    end

    it "questions an odometer too far on or in the other unit" do
      [%w[2026-01-01 60000], %w[2026-04-01 63000]].each do |day, km|
        ask(:post, inspections, inspection(day, km, pad("9")))
      end
      far = inspection("2026-05-16", "101000", pad("8.9"))
      expect(fields(ask(:post, inspections, far))).to eq("odometer.value" => "questioned")
      miles = inspection("2026-05-16", "40000", pad("8.9"))
      miles[:odometer][:unit] = "mi"
      expect(ask(:post, "#{inspections}/preview", miles)["odometer_question"]).to be_nil
      kilometres_as_miles = inspection("2026-05-16", "64500", pad("8.9"))
      kilometres_as_miles[:odometer][:unit] = "mi"
      expect(ask(:post, "#{inspections}/preview", kilometres_as_miles)["odometer_question"]).to include(
        "code" => "other_distance_unit",
        "answers" => include(include("id" => "other_unit", "unit" => "km"), include("id" => "keep", "unit" => nil))
      )
      far[:odometer][:keep] = true
      ask(:post, inspections, far)
      expect(status).to eq(201)
    end

    it "returns the form in the owner's order and remembers it" do
      ask(
        :put,
        "/inspection-order",
        { start: "rear_left", direction: "anticlockwise", within: %w[rotor runout outer inner] }
      )
      round = ask(:get, "/vehicles/#{car["id"]}/inspection-form")
      expect(round["wheels"].map { |wheel| wheel["label"] }).to eq(
        ["Rear left", "Rear right", "Front right", "Front left"]
      )
      expect(round["wheels"].first["positions"].map { |place| place["kind"] }).to eq(%w[rotor runout outer inner])
      expect(round["wheels"].map { |wheel| wheel["asks"].map { |field| field["key"] } }.first).to include(
        "rotor.discard_thickness",
        "caliper.kind"
      )
      # once an axle; and a sensor is looked at only where there is one
      expect(round["wheels"].map { |wheel| wheel["asks"].any? }).to eq([true, false, true, false])
      sensors =
        lambda do |fitted|
          know(front, ["wear_sensor", fitted, nil])
          ask(:get, "/vehicles/#{car["id"]}/inspection-form")["wheels"].last["items"].grep(/sensor/)
        end
      expect(%w[none both].map { |fitted| sensors[fitted].length }).to eq([0, 1])
      # nor slide pins on a fixed caliper
      pins =
        lambda do |caliper|
          know(front, ["caliper.kind", caliper, nil])
          ask(:get, "/vehicles/#{car["id"]}/inspection-form")["wheels"].last["items"].grep(/slide_pins/).length
        end
      expect(%w[floating_slide_pins fixed_opposed].map(&pins)).to eq([1, 0])
      expect(fields(ask(:put, "/inspection-order", { start: "roof" }))).to eq("start" => "unknown_choice")
      expect(fields(ask(:put, "/inspection-order", { within: ["seat"] }))).to eq("within" => "unknown_choice")
    end
  end

  describe "corrections" do
    before { ask(:post, inspections, inspection("2026-05-01", "60000", pad("8.2"), pad("8.4", pad: "outer"))) }

    let(:id) { stored.last.id }
    let(:reading) { stored.last.readings.first.id }

    def correct(**given) = ask(:post, "/inspections/#{id}/corrections", given)

    it "are kept next to the entry and change everything derived" do
      before = ask(:get, "/axles/#{front}/wear")["readings"].first["mm"]
      line = correct(reading:, value: "0.3", unit: "in", reason: "wrong scale")["readings"].first
      expect(line).to include(
        "value" => "0.3",
        "unit" => "in",
        "entered" => "8.2",
        "corrections" => [include("reason" => "wrong scale")]
      )
      expect([before, ask(:get, "/axles/#{front}/wear")["readings"].first["mm"]]).to eq([8.2, 7.62])
      correct(reading:, void: true, reason: "other vehicle")
      expect(ask(:get, "/axles/#{front}/wear")["readings"].length).to eq(1)
      expect(ask(:get, "/inspections/#{id}")["readings"].first).to include("void" => true)
      correct(reading:, void: false, reason: "no, this one")
      expect(stored.last.readings.map(&:value)).to eq(%w[0.3 8.4])
    end

    it "move or strike out a whole inspection, within the log's order" do
      ask(:post, inspections, inspection("2026-05-10", "61000", pad("8.1")))
      first = stored.first.id
      expect(
        fields(ask(:post, "/inspections/#{first}/corrections", { odometer: { value: "70000" }, reason: "typo" }))
      ).to eq("odometer.value" => "runs_back")
      moved =
        ask(
          :post,
          "/inspections/#{first}/corrections",
          { date: "2026-05-02", odometer: { value: "60100" }, reason: "typo" }
        )
      expect(moved).to include("date" => "2026-05-02", "odometer" => { "value" => "60100", "unit" => "km" })
      # what is kept of it is what was changed
      expect(context.store.corrections.of([first]).values.flatten.last.change.keys).to match_array(
        %w[date odometer_value odometer_km]
      )
      ask(:post, "/inspections/#{first}/corrections", { void: true, reason: "twice" })
      expect(stored.length).to eq(1)
    end

    it "rejects one without a reason, without a change, out of range, or of no reading" do
      expect(fields(correct(reading:, value: "8.0", reason: " "))).to eq("reason" => "missing")
      expect(fields(correct(reading:, value: "8.2", reason: "same"))).to eq("value" => "unchanged")
      expect(fields(correct(reading:, value: "82", reason: "typo"))).to eq("value" => "out_of_range")
      correct(reading: 4711, void: true, reason: "x")
      expect(status).to eq(404)
      expect(stored.last.readings.map(&:value)).to eq(%w[8.2 8.4])
    end
  end

  it "doesn't overwrite another window's draft, and keeps a discarded one" do
    draft = "/vehicles/#{car["id"]}/draft"
    save =
      lambda do |revision|
        ask(:post, inspections, { **inspection("2026-05-10", "60000", pad("8")), draft_revision: revision })
      end
    mine = ask(:put, draft, { content: { note: "mine" }, revision: 0 })["revision"]
    ask(:put, draft, { content: { note: "theirs" }, revision: mine })
    save[mine]
    expect(status).to eq(409)
    expect(ask(:get, draft)["draft"]).to include("revision" => mine + 1, "content" => { "note" => "theirs" })
    binned = ask(:delete, draft)["binned"]
    expect(ask(:get, draft)["draft"]).to be_nil
    save[mine + 1]
    expect(status).to eq(409)
    ask(:put, draft, { content: { note: "new" }, revision: 0 })
    expect(ask(:post, "/drafts/#{binned}/restore")).to eq("vehicle_id" => car["id"])
    expect(ask(:get, draft)["draft"]["content"]).to eq("note" => "theirs")
    # the one that lay there took its place
    expect(ask(:get, "/bin")["drafts"].map { |each| each["vehicle"] }).to eq(["Juniper"])
    ask(:post, "/drafts/#{binned}/restore")
    expect(status).to eq(404)
    expect(save[ask(:get, draft)["draft"]["revision"]]).to include("id" => Integer)
    expect(ask(:delete, draft)["binned"]).to be_nil
  end

  it "corrects and strikes out a mark like a reading" do
    seen = [{ axle: front, side: "left", item: "hose", mark: "wet" }, { item: "fluid_level", value: "1/4" }]
    id = ask(:post, inspections, inspection("2026-05-10", "60000", pad("8"), conditions: seen))["id"]
    expect(ask(:get, "/vehicles/#{car["id"]}")["state"]["severity"]).to eq("stop")
    marks = ask(:get, "/inspections/#{id}")["marks"]
    correct =
      lambda do |mark, **given|
        ask(:post, "/inspections/#{id}/corrections", { condition: mark["id"], reason: "water from the wash", **given })
      end
    expect(fields(correct[marks[0], mark: "singing"])).to eq("mark" => "unknown_mark")
    expect(fields(correct[marks[1], value: "7"])).to eq("value" => "out_of_range")
    expect(fields(correct[marks[0], mark: "wet"])).to eq("value" => "unchanged")
    expect(fields(correct[marks[0], mark: "sound", reason: " "])).to eq("reason" => "missing")
    expect(correct[marks[0], mark: "sound"]["marks"].first).to include(
      "mark" => "sound",
      "entered" => "wet",
      "corrections" => [include("reason" => "water from the wash")]
    )
    expect(ask(:get, "/vehicles/#{car["id"]}")["state"]["severity"]).not_to eq("stop")
    expect(correct[marks[0], void: true]["marks"].first).to include("void" => true)
    expect(correct[marks[0], void: false]["marks"].first).to include("void" => false)
    correct[{ "id" => 999 }, void: true]
    expect(status).to eq(404)
  end

  it "strikes out the earlier reading the owner marks as wrong, and no other" do
    know(front, %w[pad.new_thickness 11 mm])
    ask(
      :post,
      inspections,
      inspection("2026-01-10", "50000", pad("4"), pad("7.1", pad: "outer"), pad("7.2", side: "right"))
    )
    ask(:post, inspections, inspection("2026-05-10", "55000", pad("6.8").merge(answer: "earlier_wrong")))
    expect(status).to eq(201)
    expect(stored.map { |each| each.readings.map(&:value) }).to eq([%w[7.1 7.2], %w[6.8]])
    struck = ask(:get, "/inspections/#{stored.first.id}")["readings"].select { |row| row["void"] }
    expect(struck.map { |row| [row["entered"], row["corrections"].length] }).to eq([["4", 1]])
  end

  it "offers new pads when a pad reads thicker than before" do
    know(front, %w[pad.new_thickness 11 mm])
    ask(:post, inspections, inspection("2026-01-10", "50000", pad("4")))
    asked =
      ask(:post, "#{inspections}/preview", inspection("2026-05-10", "55000", pad("10.8")))["positions"].first[
        "question"
      ]
    expect(asked).to include(
      "code" => "thicker_than_before",
      "answers" => include({ "id" => "fitted", "label" => "New pads were fitted", "unit" => nil })
    )
    answered =
      pad("10.8").merge(
        flags: [
          { code: "thicker_than_before", question: asked["sentence"], value: "10.8", unit: "mm", answer: "fitted" }
        ]
      )
    id =
      ask(:post, inspections, inspection("2026-05-10", "55000", { axle: front, part: "pad", event: "fit" }, answered))[
        "id"
      ]
    expect(ask(:get, "/inspections/#{id}")["readings"].last["flags"].first).to include(
      "answer" => "New parts were fitted"
    )
  end
end
