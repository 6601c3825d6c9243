# frozen_string_literal: true

require "pdf-reader"
require_relative "../support/job_helper"

RSpec.describe "Readings in the middle of a job in the API" do
  include JobHelper

  let(:home) { "/vehicles/#{car["id"]}" }
  let(:km) { { value: "60000", unit: "km" } }

  before do
    complete
    know(front, ["rotor.retention", "nothing", nil], %w[bracket_bolt.torque 105 N·m], %w[rotor.new_thickness 25 mm])
    job
  end

  def measure(step, **given) = ask(:post, address("/readings"), { step:, **given })
  def old_pad(value, pad = "inner", side: "left", **more) = pad(value, pad:, side:, axle: front, **more)
  def disc(*values) = { **pad(nil), part: "rotor", pad: nil, values:, method: "micrometer" }.except(:value)
  def log = ask(:get, home)["log"]
  def reads(plan, key) = step(plan, key)["reads"].to_h { |each| [each["id"], each["said"]] }

  it "is logged at once as one inspection of the job" do
    expect(fields(measure("front.left.pads_out", readings: [old_pad("4.2")]))).to eq("odometer.value" => "missing")
    plan = measure("front.left.pads_out", odometer: km, readings: [old_pad("4.2"), old_pad("6.8", "outer")])
    expect(reads(plan, "front.left.pads_out").values.compact).to eq(["4.2 mm", "6.8 mm"])
    expect(plan["odometer"]).to include("known" => true)
    # the same day goes on in the same inspection, on the other side and with what else is read
    measure("front.right.pads_out", readings: [old_pad("5.9", side: "right")], conditions: [])
    measure("level_before", conditions: [{ item: "fluid_level", value: "3/4" }])
    expect(log.length).to eq(1)
    inspection = context.store.inspections.of_vehicle(car["id"]).last
    expect(inspection).to have_attributes(job_id: job["id"], odometer_km: 60_000.0)
    expect(inspection.readings.map(&:value)).to eq(%w[4.2 6.8 5.9])
    expect(inspection.conditions.map { |each| [each.item, each.value] }).to eq([%w[fluid_level 3/4]])
    # and is calculated at once
    corners = ask(:get, home)["axles"].first["corners"]
    expect(corners.first["pads"].first["now_mm"]).to be_within(0.3).of(4.2)
  end

  # pdf-reader, an independent reader of the format
  it "is printed in its row of the sheet, beside rows that wait for theirs" do
    measure("front.left.pads_out", odometer: km, readings: [old_pad("4.2"), old_pad("6.8", "outer")])
    get "/api/v1#{address("/sheet.pdf")}"
    pages = PDF::Reader.new(StringIO.new(last_response.body)).pages.map(&:text)
    expect(pages.join("\n")).to match(/Front left inner pad\p{Space}+4\.2\p{Space}mm/).and match(
            /Front left outer pad\p{Space}+6\.8\p{Space}mm/
          ).and match(/Front right inner pad *$/)
    expect(pages.map { |page| page.strip.lines.length }).to all(be > 10)
  end

  it "goes on after another inspection of the day, at the odometer that is given or else the highest" do
    measure("front.left.pads_out", odometer: km, readings: [old_pad("4.2")])
    ask(
      :post,
      inspections,
      inspection("2026-05-16", "60012", *all_pads("7", "7", "7", "7", axle: car["axles"].last["id"]))
    )
    measure("front.right.pads_out", readings: [old_pad("5.9", side: "right")])
    measure(
      "front.right.pads_out",
      odometer: {
        value: "60015",
        unit: "km"
      },
      readings: [old_pad("5.8", "outer", side: "right")]
    )
    expect(status).to eq(200)
    rows = context.store.inspections.of_vehicle(car["id"]).map { |each| [each.odometer_km, each.job_id] }
    expect(rows).to eq([[60_000.0, job["id"]], [60_012.0, nil], [60_012.0, job["id"]], [60_015.0, job["id"]]])
  end

  it "counts a repeated reading and keeps both" do
    measure("front.left.pads_out", odometer: km, readings: [old_pad("4.2")])
    measure("front.left.pads_out", readings: [old_pad("4.6")])
    measure("level_before", conditions: [{ item: "fluid_level", value: "1/2" }])
    plan = measure("level_before", conditions: [{ item: "fluid_level", value: "1" }])
    expect(reads(plan, "front.left.pads_out")).to include("#{front}.left.inner" => "4.6 mm")
    expect(reads(plan, "level_before")).to eq("fluid_level" => "1")
    id = context.store.inspections.of_vehicle(car["id"]).last.id
    all = context.store.inspections.find(id)
    expect(all.readings.map { |row| [row.value, row.void] }).to eq([["4.2", true], ["4.6", false]])
    expect(all.readings.first.corrections.first.reason).to eq("Measured again on the same day.")
  end

  it "stops the job at a rotor under its limit and says what to buy" do
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads] }, reasons: {} })
    know(front, %w[rotor.discard_thickness 23 mm])
    resolve_all
    ask(:patch, address, { state: "ready", because: "So be it" })
    ask(:patch, address, { state: "in_progress" })
    plan = measure("front.left.read_rotor", odometer: km, readings: [disc("22.8", "22.7")])
    expect(plan["halts"]).to contain_exactly(include("must" => true, "buy" => include(a_string_including("2 × Rotor"))))
    expect(reads(plan, "front.left.read_rotor").values.compact).to eq(["22.8, 22.7 mm"])
  end

  describe "marks" do
    def seen(item, *marks, face: nil)
      marks.map { |mark| { item:, mark:, axle: front, side: "left", face: } }
    end
    def marked(plan, key, id) = step(plan, key)["reads"].find { |each| each["id"] == "#{front}.left.#{id}" }["marked"]

    it "offers the marks that apply, by face where there are two" do
      plan = ask(:get, address)
      asks = step(plan, "front.left.pads_out")["reads"].select { |each| each["kind"] == "marks" }
      expect(asks.map { |each| each["label"] }).to eq(["Left inner pad", "Left outer pad", "Left clips and springs"])
      pad = plan["marks"].find { |each| each["item"] == asks.first["key"] }
      expect(pad["marks"].map { |mark| mark["id"] }).to include("even", "crumbling")
      expect(asks.first).to include("pad" => "inner", "marked" => [])
      # parking shoes where there are none are not asked for
      keys = ask(:get, address)["steps"].flat_map { |each| each["reads"].map { |read| read["key"] } }
      expect(keys).to include("hose").and(satisfy { |all| !all.include?("shoes") })
    end

    it "counts the newest mark, keeps earlier ones and can undo all" do
      plan = measure("front.left.judge", odometer: km, conditions: seen("hose", "sound") + seen("piston", "wet"))
      expect(marked(plan, "front.left.judge", "hose")).to eq(["sound"])
      plan = measure("front.left.judge", conditions: seen("hose", "twisted", "cracked"))
      expect(marked(plan, "front.left.judge", "hose")).to eq(%w[twisted cracked])
      expect(marked(plan, "front.left.judge", "piston")).to eq(["wet"])
      # said again: it stands once
      measure("front.left.judge", conditions: seen("hose", "twisted"))
      rows = context.store.inspections.find(context.store.inspections.of_vehicle(car["id"]).last.id).conditions
      expect(rows.map { |row| [row.mark, row.void] }).to eq(
        [["sound", true], ["wet", false], ["twisted", false], ["cracked", true]]
      )
      plan = measure("front.left.judge", unmarked: [{ axle: front, side: "left", item: "hose", face: nil }])
      expect(marked(plan, "front.left.judge", "hose")).to be_empty
      expect(fields(measure("front.left.judge", conditions: seen("hose", "purple")))).to eq(
        "conditions.0.mark" => "unknown_mark"
      )
    end

    it "stops at a mark that forbids driving until the fix is planned" do
      resolve_all
      ask(:patch, address, { state: "ready", because: "So be it" })
      ask(:patch, address, { state: "in_progress" })
      plan =
        measure(
          "front.left.judge",
          odometer: km,
          conditions: seen("slide_pins", "boot_torn") + seen("pad", "cracked", face: "inner")
        )
      expect(plan["halts"]).to be_empty
      # what is only to be planned for is offered
      found = plan["scope"]["offers"].select { |each| each["found"] }
      expect(found.map { |each| each["text"] }).to eq(["Left slide pins: boot torn. Add “New slide pins and boots”?"])
      # a piston that does not move can't be built around, though it forbids nobody to drive
      plan = measure("front.left.judge", conditions: seen("piston", "stuck"))
      expect(plan["halts"]).to contain_exactly(include("works" => include("caliper"), "text" => /Left piston: stuck/))
      plan = measure("front.left.judge", conditions: seen("piston", "wet"))
      expect(plan["halts"]).to contain_exactly(
        include("must" => true, "works" => include("caliper", "pads"), "text" => /Left piston: wet.*leak/)
      )
      anew = { axles: { front.to_s => plan["halts"].first["works"] }, reasons: {} }
      # how the hose is joined decides how it comes off: asked now that it matters
      expect(fields(ask(:put, address("/scope"), anew))).to eq("axles.#{front}" => "missing")
      know(front, ["hose.fitting", "banjo", nil])
      plan = ask(:put, address("/scope"), anew)
      expect(plan["halts"]).to be_empty
    end
  end

  it "logs the vehicle's counter before reset, next to the forecast" do
    asks = step(ask(:get, address), "reset_counter")["reads"]
    expect(asks.map { |each| each.values_at("id", "units") }).to eq([["counter_front", ["km"]]])
    measure("front.left.pads_out", odometer: km, readings: [old_pad("6.2"), old_pad("6.8", "outer")])
    plan = measure("reset_counter", conditions: [{ item: "counter_front", value: "14000" }])
    expect(reads(plan, "reset_counter")).to eq("counter_front" => "14000")
    expect(fields(measure("reset_counter", conditions: [{ item: "counter_front", value: "a lot" }]))).to eq(
      "conditions.0.value" => "not_a_number"
    )
    why = ask(:get, "/axles/#{front}/wear")["why"]
    expect(why).to include(
      /own counter showed 14,000 km, which leaves 14,000 km from here\. This forecast: .* most likely/
    )
    id = context.store.inspections.of_vehicle(car["id"]).last.id
    expect(ask(:get, "/inspections/#{id}")["marks"].map { |mark| mark["mark"] }).to include("14000 km")
    # of the pads that went on since, it says nothing
    ask(:post, inspections, inspection("2026-05-16", "60000", { axle: front, part: "pad", event: "fit", values: [] }))
    expect(ask(:get, "/axles/#{front}/wear")["why"].grep(/own counter/)).to be_empty
  end

  it "saves a cast limit, and keeps new parts' data until the job ends" do
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Lip" } })
    plan =
      measure(
        "front.left.read_limit",
        data: [{ axle: front, key: "rotor.discard_thickness", value: "22.4", unit: "mm" }]
      )
    expect(reads(plan, "front.left.read_limit").values).to eq(["22.4 mm"])
    expect(
      ask(:get, "/axles/#{front}/brake-data")["fields"].find { |each| each["key"] == "rotor.discard_thickness" }
    ).to include("source" => "cast")
    thin = measure("front.left.pads_in", fitted: [{ axle: front, part: "pad", value: "2.5", unit: "mm" }])
    expect(fields(thin)).to eq("fitted.0" => "too_thin")
    plan = measure("front.left.pads_in", fitted: [{ axle: front, part: "pad", value: "11.8", unit: "mm" }])
    expect(plan["fits"].find { |fit| fit["part"] == "pad" }).to include("value" => "11.8", "unit" => "mm")
    expect(log).to be_empty
  end

  it "rejects by field, questions the implausible and saves nothing" do
    wrong =
      measure("front.left.pads_out", odometer: km, readings: [old_pad("many"), old_pad("5", side: "right", axle: 99)])
    expect(fields(wrong).keys).to include("readings.0.values.0", "readings.1.axle")
    measure("front.left.pads_out", odometer: km, readings: [old_pad("4.2")])
    thicker = old_pad("9.4")
    asked = measure("front.left.pads_out", readings: [thicker])
    expect(fields(asked)).to eq("readings.0.values" => "questioned")
    expect(log.length).to eq(1)
    expect(measure("front.left.pads_out", readings: [{ **thicker, answer: "keep" }])).to have_key("steps")
    expect(fields(measure("dance", readings: []))).to eq("step" => "unknown_step")
    expect(fields(measure("front.left.pads_in", fitted: [{ axle: front, part: "rotor", value: "25" }]))).to eq(
      "fitted.0.part" => "unknown_item"
    )
    ask(:patch, address, { state: "cancelled" })
    expect(fields(measure("front.left.pads_out", readings: [old_pad("4")]))).to eq("state" => "job_closed")
  end
end
