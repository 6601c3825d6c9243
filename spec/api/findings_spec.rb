# frozen_string_literal: true

require_relative "../support/findings_helper"

RSpec.describe "Findings in the API" do
  include FindingsHelper

  it "finds nothing on a new vehicle and says what is missing" do
    expect(findings).to include(
      "findings" => [],
      "silent" => include(/Front: no pad of this set has been measured/, /Rear: rotor discard thickness unknown/)
    )
  end

  # common practice, no source: a pin that begins to stick shows before the pads of its caliper are a millimetre apart
  it "reports a pad that has begun to wear faster, and since when" do
    exact = ->(pads) { all_pads(*pads).map { |each| { **each, method: "micrometer" } } }
    [
      ["2023-05-10", "30000", %w[9.5 9.5 9.5 9.5]],
      ["2024-05-10", "42000", %w[8.8 8.8 8.8 8.8]],
      ["2025-05-10", "54000", %w[8.1 8.1 8.1 8.1]],
      ["2025-11-10", "59000", %w[7.5 7.8 7.8 7.8]],
      ["2026-05-10", "65000", %w[6.6 7.45 7.45 7.45]]
    ].each { |date, km, pads| ask(:post, inspections, inspection(date, km, *exact[pads])) }
    sped = found("inner-sped-up").first
    expect(sped).to include("side" => "left", "severity" => "watch", "confidence" => be >= 0.6)
    expect(sped["sentence"]).to match(
      /inner pad has worn faster since about \d+ \w+ 2025, now about 0\.\d+ mm per 1,000 km/
    )
    expect(sped["causes"].map { |cause| cause["label"] }).to include("Slide pins seized or dry")
    expect(found("inner-thin")).to be_empty
    ask(:post, inspections, inspection("2026-05-15", "65200", *exact[%w[6.4 7.45 7.45 7.45]]))
    expect([found("inner-sped-up").length, found("inner-thin").length]).to eq([0, 1])
  end

  # common practice, no source: at 3 mm inside and 5 outside the inner decides; seized pins stand behind it
  it "finds a worn inner pad with causes, confidence and what would change it" do
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-10",
        "60000",
        *all_pads("2.6", "6.2", "5.6", "5.9"),
        conditions: marks(%w[left slide_pins seized])
      )
    )
    uneven = found("inner-thin").first
    expect(uneven).to include(
      "side" => "left",
      "severity" => "plan",
      "reading" => "inner 2.6 mm, outer 6.2 mm on 10 May 2026",
      "source" => /Common practice/
    )
    expect(uneven["causes"].first).to include("label" => "Slide pins seized or dry", "seen" => ["slide pins seized"])
    expect(found("pad-below-limit").first).to include(
      "pad" => "inner",
      "confidence" => be > 0.8,
      "limit" => "3.0 mm, your approach",
      "change" => /more precise reading/
    )
    expect(found("seen-slide_pins-seized").first).to include("severity" => "plan")
    expect(findings["findings"].map { |each| each["severity"] }).to eq(
      findings["findings"].map { |each| each["severity"] }.sort_by { |severity| %w[stop plan watch].index(severity) }
    )
    expect(ask(:put, "/approaches", { pads: "law" })["approaches"]).to include("pads" => "law")
    ask(:put, "/approaches", { bed_in: "series" })
    chosen = ask(:get, "/approaches")["approaches"].to_h { |each| each.values_at("id", "chosen") }
    expect(chosen).to include("bed_in" => "series")
    expect(found("pad-below-limit")).to be_empty
    expect(fields(ask(:put, "/approaches", { pads: "hope", rotors: "reuse" }))).to eq("pads" => "unknown_choice")
  end

  # common practice, no source: a seized pin that is left so wears its pad out before its time
  it "looks again sooner where a pin is marked seized, and no sooner where all move" do
    looked = -> { ask(:get, "/vehicles/#{car["id"]}")["axles"].first["look_again"]["distance_km"] }
    log = ->(date, *rows, seen) { ask(:post, inspections, inspection(date, "60000", *rows, conditions: marks(*seen))) }
    log["2026-05-10", *all_pads("6.8", "7.0", "6.8", "7.0"), []]
    km =
      %w[free seized].map do |pins|
        # the worst of a corner counts
        log["2026-05-11", [%w[left piston free], ["left", "slide_pins", pins], %w[right slide_pins free]]]
        looked.call
      end
    expect(km.last).to be < 0.75 * km.first
    expect(found("inner-sped-up")).to be_empty
    why = ask(:get, "/axles/#{front}/wear")["why"].join(" ")
    expect(why).to match(
      /[23]\d.% chance that the left inner pad wears faster from now on: its pin or piston doesn't move/
    )
  end

  # common practice, no source: rust after some weeks, parts that stick after half a year
  it "tells a long stand from a missing odometer entry" do
    note = ->(day, km) { ask(:post, "/vehicles/#{car["id"]}/odometer", { date: day, odometer: { value: km } }) }
    ask(:post, inspections, inspection("2025-06-01", "60000", *all_pads("9", "9", "9", "9")))
    note["2025-07-13", "60049"]
    expect(found("stood-weeks").first["sentence"]).to include("stood for 42 days up to 13 Jul 2025")
    expect(found("odometer-silent").length).to eq(1)
    note["2026-05-16", "60060"]
    expect([found("stood-long").length, found("stood-weeks").length, found("odometer-silent").length]).to eq([1, 0, 0])
    ask(:post, inspections, inspection("2026-05-16", "60060", *all_pads("9", "9", "9", "9")))
    expect(found("stood-long")).to be_empty
  end

  # a pad near its limit leads; common practice, no source
  it "lists what is due first, with the reason in the garage" do
    know(front, %w[rotor.discard_thickness 27.9 mm])
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-10",
        "60000",
        *all_pads("3.4", "3.5", "3.6", "3.5"),
        *%w[left right].map { |side| rotor(side, "27.91") }
      )
    )
    first = findings["findings"].first
    expect(first).to include("rule" => include("pads-due"), "severity" => "plan", "sentence" => /limit \(3\.0 mm\)/)
    vehicle = ask(:get, "/garage")["vehicles"].first
    expect(vehicle).to include("state" => include("severity" => "plan"), "why" => match(/\AFront: /))
  end

  # common practice, no source: half-worn pads have years left; one eye's error is one error for all four
  it "keeps four visual readings consistent with the axle" do
    glance = ->(share) { all_pads(*[share] * 4).map { |each| each.merge(method: "percent", unit: "percent") } }
    know(front, ["pad.new_thickness", nil, nil])
    ask(:post, inspections, inspection("2026-05-10", "60000", *glance["50"]))
    wear = -> { ask(:get, "/axles/#{front}/wear")["axle"] }
    expect(wear.call["state"]["severity"]).not_to match(/plan|stop/)
    expect(wear.call["look_again"]["distance_km"]).to be > 500
    look = context.store.inspections.of_vehicle(car["id"]).last
    ask(:post, "/inspections/#{look.id}/corrections", { void: true, reason: "Another car" })
    ask(:post, inspections, inspection("2026-05-11", "60010", *glance["30"]))
    pads = found("pad-maybe-below").map { |each| each["confidence"] }
    axle =
      context
        .store
        .vehicles
        .find(car["id"])
        .then { |vehicle| Graver::Service::Household::AxleRecords.new(context).of([vehicle]).fetch(vehicle.id).first }
    chance = Graver::Service::Household::AxleAnswer.new(context).call(axle).pads.first.chance_now
    expect(pads.length).to eq(4)
    expect(chance).to be_between(pads.max, pads.max * 2.2)
  end

  # common practice, no source: 7.6 mm read against 7.5 mm, both with the plate, is above it by 0.1 mm and a caliper's
  # 0.15
  it "ignores the plate where limit and reading both include it" do
    know(front, %w[pad.overall_limit 7.5 mm], %w[pad.service_limit 1.5 mm], ["pad.new_thickness", nil, nil])
    Graver::Service::Household::Approaches.new(context).choose({ pads: "law" })
    ask(
      :post,
      inspections,
      inspection(
        ApiHelper::TODAY,
        "60000",
        *all_pads("7.60", "7.60", "7.60", "7.60").map { |each| each.merge(overall: true) }
      )
    )
    expect(found("pad-maybe-below").first["confidence"]).to be_within(0.07).of(
      Graver::Core::Wear::Normal.cumulative(-0.1 / 0.15)
    )
  end

  it "follows a corrected reading and ignores a doubtful one" do
    ask(:post, inspections, inspection("2026-05-10", "60000", *all_pads("2.6", "6.2", "5.6", "5.9")))
    inspection = context.store.inspections.of_vehicle(car["id"]).last
    ask(
      :post,
      "/inspections/#{inspection.id}/corrections",
      { reading: inspection.readings.first.id, value: "6.0", reason: "misread" }
    )
    expect([found("inner-thin"), found("pad-below-limit")]).to eq([[], []])
  end

  # By hand: rear pistons unknown, so nothing is said; with them, half of 100 ml gone without wear is a leak.
  it "suspects a leak when wear doesn't explain the level, and returns the room above it" do
    rear = car["axles"].last["id"]
    know(
      rear,
      %w[pad.new_thickness 10 mm],
      ["caliper.piston_count", "1", nil],
      %w[fluid.reservoir_volume 100 ml],
      ["fluid.grade", "dot_4", nil]
    )
    level =
      lambda do |day, km, value|
        ask(
          :post,
          inspections,
          inspection(
            day,
            km,
            *all_pads("9", "9", "9", "9"),
            pad("8.5", axle: rear),
            conditions: [{ item: "fluid_level", value: }]
          )
        )
      end
    level["2026-05-01", "60000", "0.9"]
    level["2026-05-10", "60300", "0.4"]
    expect(found("fluid-unexplained").first["limit"]).to include("usually covers")
    know(rear, %w[caliper.piston_diameter 38 mm])
    expect(found("fluid-unexplained").first["limit"]).to include("of the 100 ml between MIN and MAX")
    expect(found("fluid-unexplained").first).to include(
      "severity" => "stop",
      "sentence" => /fell by 0\.50 of MIN to MAX/
    )
    fluid = findings["fluid"]
    # two pads 2 mm down a side, one 57 mm piston: 2 x 4 x 2.552 = 20.4 ml; 49 CFR 571.116 (from memory): DOT 4
    # 230/155 °C
    expect(fluid).to include(
      "grade" => "DOT 4",
      "dry_celsius" => 230,
      "wet_celsius" => 155,
      "headroom_ml" => 60,
      "never" => include(/silicone/)
    )
    expect(fluid["axles"].first["pushed_ml"]).to be_within(3).of(20)
    expect(fluid["axles"].first["draw_off_ml"]).to eq(0)
    expect(ask(:get, "/vehicles/#{car["id"]}")).to include(
      "state" => include("severity" => "stop"),
      "seen" => include(include("text" => /wear doesn't explain/)),
      # a Stop says what to do
      "why" => include("explain. Do not drive. Look at every caliper")
    )
    # a reservoir that was topped up in between says nothing about a leak
    ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", { date: "2026-05-05", odometer: { value: "60200" } })
    expect(found("fluid-unexplained")).to be_empty
  end

  # common practice, no source: pulsation is variation; a rotor read at one place cannot show it
  it "asks for readings at several places when the pedal pulsates" do
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-10",
        "60000",
        *all_pads("8", "8", "8", "8"),
        rotor("left", "27.8"),
        rotor("right", "27.8"),
        conditions: [{ item: "symptom", mark: "pulsation" }]
      )
    )
    expect(findings["silent"]).to include(/Front: pulsation was noticed/)
    expect(rotors).to include(
      "outcome" => "measure_again",
      "sides" => include(include("sentence" => /you felt pulsation/))
    )
    ask(
      :post,
      inspections,
      inspection("2026-05-11", "60010", rotor("left", *["27.8"] * 4), rotor("right", *["27.8"] * 4))
    )
    # even all round, and still felt: hub and runout first, and not "may stay"
    expect([findings["silent"].grep(/Front: the pedal/), rotors["outcome"]]).to eq([[], "measure_again"])
    expect(rotors["sides"].first["sentence"]).to include("though the thickness variation is within its limit")
  end

  it "finds one bad face, worn-out parking shoes and old fluid" do
    rear = car["axles"].last["id"]
    know(rear, ["parking_brake.kind", "drum_in_hat", nil], %w[shoe.discard_thickness 1.5 mm])
    shoe = {
      axle: rear,
      part: "shoe",
      side: "left",
      event: "reading",
      method: "caliper",
      unit: "mm",
      values: %w[1.8 1.5]
    }
    seen =
      marks(%w[left rotor_face pitted inner], %w[left rotor_face smooth outer]) +
        [
          { item: "fluid_age", value: "30" },
          { item: "fluid_moisture", value: "2,9" },
          { item: "handbrake_clicks", value: "9" }
        ]
    ask(:post, inspections, inspection("2026-05-10", "60000", shoe, conditions: seen))
    expect(found("one-face").first["causes"].first["label"]).to include("doesn't move")
    expect(found("shoe-below").first["sentence"]).to eq(
      "Rear left: 1.5 mm of lining is at or under its minimum of 1.5 mm."
    )
    expect([found("fluid-old").length, found("fluid-wet").length, found("handbrake-far").first["sentence"]]).to eq(
      [1, 0, "9 clicks, maximum 7."]
    )
  end

  it "says when a tool can't tell a variation, and that a reading on the limit is out" do
    caliper = ->(side, *values) { rotor(side, *values, method: "caliper") }
    readings = [
      *all_pads("3.0", "3.1", "3.1", "3.1"),
      caliper["left", "24.6", "24.5", "24.6", "24.6"],
      caliper["right", "24.6"]
    ]
    ask(:post, inspections, inspection("2026-05-10", "60000", *readings))
    expect(findings["silent"]).to include(/left rotor readings vary by 0\.100 mm.*can't tell less than/)
    expect(found("rotor-variation")).to be_empty
    reasons = ask(:get, "/vehicles/#{car["id"]}")["axles"].first["reasons"].map { |reason| reason["sentence"] }
    expect(reasons).to include(
      "Left inner pad: 3.0 mm on 10 May 2026, at or under your limit of 3.0 mm. Exactly on the limit counts as out."
    )
  end

  # A motorcycle has a reservoir for each brake (common practice, no source): one that falls is not made up by the
  # other.
  it "watches a motorcycle's reservoirs separately" do
    @car = ask(:post, "/vehicles", { name: "Wren", kind: "motorcycle" })
    names = ask(:get, "/vehicles/#{car["id"]}/inspection-form")["figures"].map { |figure| figure["id"] }
    expect(names.grep(/level/)).to eq(%w[fluid_level_front fluid_level_rear])
    pads =
      car["axles"].flat_map do |axle|
        axle["sides"].product(%w[inner outer]).map { |side, pad| pad("4.0", side:, pad:, axle: axle["id"]) }
      end
    [%w[2026-05-01 10000 0.9], %w[2026-05-10 10200 0.2]].each do |day, km, rear|
      levels = { "fluid_level_front" => "0.9", "fluid_level_rear" => rear }
      ask(:post, inspections, inspection(day, km, *pads, conditions: levels.map { |item, value| { item:, value: } }))
    end
    expect(found("fluid-unexplained").map { |each| each["sentence"] }).to contain_exactly(
      /The fluid of the rear brake fell by 0\.70/
    )
  end

  # A motorcycle has a lever and a pedal, neither servo nor parking brake, and bars.
  it "asks a rider about the lever and the pedal" do
    asked =
      ask(:get, "/symptoms")["symptoms"].select { |each| (each["vehicles"] || ["motorcycle"]).include?("motorcycle") }
    ids = asked.map { |each| each["id"] }
    expect(ids).to include("lever", "lever_pulsates", "grinding")
    expect(ids).not_to include("pedal")
    expect(JSON.generate(asked)).not_to match(/steering wheel|parking|servo|booster/i)
    bike = ask(:post, "/vehicles", { name: "Finch", kind: "motorcycle" })["id"]
    outcome = ask(:post, "/vehicles/#{bike}/symptoms", { symptom: "lever", answers: { how: "weak" } })
    expect(outcome).to include("severity" => "stop", "sentence" => /pads don't bite.*Do not drive/)
    expect(ask(:get, "/garage")["vehicles"].find { |each| each["id"] == bike }["state"]["severity"]).to eq("stop")
  end
end
