# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "Finished jobs in the API" do
  include JobHelper

  describe "a worn axle whose job is done" do
    let(:rear) { car["axles"].last["id"] }
    let(:rear_pads) { all_pads("8", "8", "8", "8", axle: rear) }
    let(:fitted) { [{ axle: front, part: "pad", value: "11.4" }, { axle: front, part: "rotor", value: "25.02" }] }

    let(:prepared_as) { "a worn axle whose job is done" }

    before { prepared(prepared_as) { work_done } }

    def find_worn
      worn = %w[left right].product(%w[inner outer]).map { |side, position| pad("2.6", side:, pad: position) }
      rotors =
        %w[left right].map do |side|
          { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["22.9"] }
        end
      ask(:post, inspections, inspection("2023-05-10", "20000", { axle: front, part: "pad", event: "fit" }))
      seen = [
        { axle: front, side: "left", item: "slide_pins", mark: "seized" },
        { axle: car["axles"].last["id"], side: "left", item: "slide_pins", mark: "seized" },
        { item: "symptom", mark: "grinding" },
        { item: "symptom", mark: "pulls" }
      ]
      ask(:post, inspections, inspection("2026-05-10", "59900", *worn, *rotors, *rear_pads, conditions: seen))
    end

    def work_done
      complete
      know(
        front,
        ["rotor.retention", "nothing", nil],
        %w[rotor.new_thickness 25 mm],
        %w[bracket_bolt.torque 105 N·m],
        ["bracket_bolt.drive", "hex-18", nil]
      )
      know(
        front,
        ["fluid.grade", "dot_4", nil],
        %w[rotor.diameter 288 mm],
        ["rotor.kind", "vented", nil],
        %w[bleed_screw.torque 10 N·m],
        ["bleed_screw.drive", "hex-11", nil]
      )
      find_worn
      ask(
        :post,
        "/supplies",
        {
          kind: "part",
          item: "pads",
          axle: front,
          name: "Plain",
          thickness: "11.5",
          unit: "mm",
          on_shelf: "1",
          price: "40"
        }
      )
      ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new bleed] } })
      resolve_all
      ask(:patch, address, { state: "ready" })
      tick_until
    end

    it "offers the bought part's thickness, rejects an invalid one, and keeps the old set's life" do
      expect(job["fits"]).to contain_exactly(
        include("part" => "pad", "value" => "11.5", "unit" => "mm"),
        include("part" => "rotor", "value" => "25")
      )
      estimate = ask(:get, address)["money"]
      expect(
        fields(
          finish(
            odometer: {
              value: "50000"
            },
            fitted: [{ axle: front, part: "pad", value: "2.9" }, { axle: front, part: "rotor", value: "thick" }]
          )
        )
      ).to eq(
        "odometer.value" => "runs_back",
        "fitted.#{front}.pad" => "too_thin",
        "fitted.#{front}.rotor" => "not_a_number"
      )
      done = finish(fitted:)
      data = context.store.brake_data.current(front)["pad.new_thickness"]
      expect(data).to have_attributes(value: "11.4", unit: "mm", source: "parts_counter")
      expect(done["closed"]["sets"]).to include(
        { "axle" => "front", "part" => "pad", "life_km" => 40_000, "last_mm" => 2.6, "last_on" => "2026-05-10" }
      )
      expect(done["money"].slice("parts", "total", "unpriced", "hours")).to eq(
        estimate.slice("parts", "total", "unpriced", "hours")
      )
    end

    # common practice, no source: what a pad and rotor job leaves behind
    it "can't be finished with a loose bolt, and keeps open what wasn't done" do
      bolt = { step: "front.left.bracket_on", axle: "front", fastener: "bracket_bolt", bolts: [1], unit: "N·m" }
      ask(:post, address("/torques"), { **bolt, reached: "80" })
      refused = finish(fitted:)
      expect(fields(refused)).to eq("steps.front.left.bracket_on" => "mandatory_open")
      expect(refused["error"]["fields"].first["message"]).to include("bracket bolts: number 1 isn't tight")
      ask(:post, address("/torques"), { **bolt, reached: "104" })
      expect(fields(finish(fitted:, follow_ups: ["Plug missing", "x" * 301]))).to eq("follow_ups.1.text" => "too_long")
      expect(ask(:get, address)["state"]).to eq("in_progress")
      expect(finish(fitted:, follow_ups: ["Plug missing", " "])["state"]).to eq("finished")
      expect(ask(:get, "/vehicles/#{car["id"]}")["follow_ups"].map { |each| each["text"] }).to eq(["Plug missing"])
    end

    it "can't be finished with a bolt that was taken out again, nor goes on past it" do
      bolt = { step: "front.left.pin_bolts_in", axle: "front", fastener: "slide_pin_bolt", bolts: [1], unit: "N·m" }
      ask(:post, address("/torques"), { **bolt, reached: "60", answer: "renewed" })
      expect(ask(:get, address)["torques"].last).to include("bolt" => 1)
      expect(fields(finish(fitted:))).to eq("steps.front.left.pin_bolts_in" => "mandatory_open")
      tick("front.left.corner_check", done: false)
      expect(fields(tick("front.left.corner_check"))).to eq("bolts.front.slide_pin_bolt" => "missing")
      ask(:post, address("/torques"), bolt)
      expect(tick("front.left.corner_check")["ticked"]).to include("front.left.corner_check")
      expect(finish(fitted:)["state"]).to eq("finished")
    end

    it "clears marks at the wheels its work reached, and none of the other axle" do
      rear = car["axles"].last["id"]
      clips = %w[left right].map { |side| { axle: front, side:, item: "clips", mark: "loose" } }
      hubs = [front, rear].map { |axle| { axle:, side: "left", item: "hub", mark: "rusty" } }
      ask(:post, inspections, inspection("2026-05-15", "59950", conditions: clips + hubs))
      ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_new bleed clips] } })
      tick_until
      tick("front.right.clips_new", done: false)
      expect(finish(fitted:)["state"]).to eq("finished")
      left = ask(:get, "/vehicles/#{car["id"]}/findings")["findings"].select { |each| each["rule"].match?(/hub|clips/) }
      expect(left.map { |each| each.values_at("axle_id", "side", "rule") }).to contain_exactly(
        [front, "right", /clips/],
        [rear, "left", /hub/]
      )
    end

    it "ticks steps after the end with the odometer, and clears the nuts from the timeline" do
      tick("retorque", done: false)
      finish(fitted:)
      nuts = -> { ask(:get, "/vehicles/#{car["id"]}/timeline")["events"].count { |event| event["kind"] == "retorque" } }
      expect(nuts.call).to eq(1)
      follow = ->(step, value) { ask(:post, address("/afterwards"), { step:, odometer: { value:, unit: "km" } }) }
      expect(fields(follow["front.star", "60100"])).to eq("step" => "unknown_step")
      expect(fields(follow["retorque", "59000"])).to eq("odometer.value" => "runs_back")
      expect(follow["retorque", "60100"]["ticked"]).to include("retorque")
      expect([nuts.call, ask(:get, "/vehicles/#{car["id"]}")["odometer_km"]]).to eq([0, 60_100])
    end

    # Grinding can come from the other axle: common practice, no source.
    context "when the rear was never inspected" do
      let(:prepared_as) { "the same without the rear" }
      let(:rear_pads) { [] }

      it "keeps grinding open until it is" do
        refused = finish(fitted:)
        expect(fields(refused)).to eq("symptoms.grinding" => "unlooked")
        expect(refused["error"]["fields"].first["message"]).to include("rear axle", "inner")
        one_short = all_pads("8", "8", "8", axle: rear).take(3)
        ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *one_short))
        expect(fields(finish(fitted:))).to eq("symptoms.grinding" => "unlooked")
        ask(:post, inspections, inspection(ApiHelper::TODAY, "60000", *all_pads("8", "8", "8", "8", axle: rear)))
        expect(finish(fitted:)["state"]).to eq("finished")
      end
    end

    it "uses entered hours and money, and keeps each part's cost" do
      done = finish(fitted: [fitted.first, { **fitted.last, method: "micrometer" }], hours: "4", spent: "61.50")
      expect(done["money"]).to include("total" => 61.5, "unpriced" => [], "actual" => true)
      expect(done["money"]["saving"]).to be_within(0.01).of(done["money"]["shop"] - 61.5)
      expect(done["money"]["hours"]).to include("low" => 4.0, "high" => 4.0, "said" => "4 h")
      later = ask(:get, "/axles/#{front}/job-plan")["money"]
      expect(later).to include("by_axle" => [{ "axle" => "front", "spent" => 61.5 }], "actual" => false)
      expect(later["history"]).to contain_exactly(
        include("day" => ApiHelper::TODAY, "axle" => "front", "name" => "Plain", "price" => 40.0)
      )
      # what read it is named: a tool, or none
      rows =
        ask(:get, "/inspections/#{done["closed"]["inspection"]}")["readings"].select { |row| row["event"] == "fit" }
      expect(rows.map { |row| row["method_label"] }).to eq(["As sold, not measured", "Micrometer"])
      csv = get("/api/v1/vehicles/#{car["id"]}/log.csv", {}, { "HTTP_HOST" => "127.0.0.1" }).body
      expect(csv).to include("front,,pad,,fit,caliper,11.4,,mm,,", "11.4|mm|stated")
      expect(ask(:get, "/vehicles/#{car["id"]}")["log"].first["what"]).to include(
        "noticed on the road (grinding) fixed"
      )
    end

    it "keeps the fluid levels before and after the work apart" do
      levels = { "level_before" => %w[fluid_level 1/4], "level_after" => %w[fluid_level_after 0.9] }
      levels.each do |step, (item, value)|
        ask(:post, address("/readings"), { step:, odometer: { value: "60000" }, conditions: [{ item:, value: }] })
      end
      finish(fitted:)
      figures = context.store.inspections.of_vehicle(car["id"]).flat_map(&:conditions).reject(&:mark)
      expect(figures.map { |each| [each.item, each.value] }).to eq(levels.values)
      know(front, %w[fluid.reservoir_volume 100 ml])
      # a tenth of 100 ml is left above it now
      expect(ask(:get, "/vehicles/#{car["id"]}/findings")["fluid"]["headroom_ml"]).to be_within(0.01).of(10)
    end

    it "keeps its torque values and what its bolts reached" do
      bolt = { step: "front.left.bracket_on", axle: "front", fastener: "bracket_bolt", unit: "N·m", reached: "104" }
      ask(:post, address("/torques"), { **bolt, bolts: [2] })
      card = finish(fitted:)["torque"]
      know(
        front,
        %w[wheel_nut.torque 200 N·m],
        ["wheel_nut.count", "4", nil],
        %w[bracket_bolt.thread M14 x],
        ["slide_pin_bolt.drive", "hex-15", nil]
      )
      expect(ask(:get, address)["torque"]).to eq(card)
      bolts = ask(:get, "/inspections/#{ask(:get, address)["closed"]["inspection"]}")["bolts"]
      expect(bolts.find { |each| each["label"].match?(/bracket bolts/i) }["reached"]).to include("left 2: 104 N·m")
      expect(
        ask(:get, "/axles/#{front}/job-plan")["torque"].find { |line| line["fastener"] == "wheel_nut" }
      ).to include("newton_metres" => 200)
    end

    # A pin that was seized is free when it was seen to move, not because pads went on: common practice, no source.
    it "keeps a seized pin until it is marked as free" do
      done = finish(fitted:)
      events = ask(:get, "/inspections/#{done["closed"]["inspection"]}")["readings"].map { |row| row["event"] }
      expect(events).not_to include("freed")
      expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].first["state"]["severity"]).to eq("plan")
    end

    it "logs new sets, fixed marks and follow-ups" do
      tick("retorque", done: false)
      free = { axle: front, side: "left", item: "slide_pins", mark: "free" }
      ask(
        :post,
        address("/readings"),
        { step: "front.left.pins", odometer: { value: "60000" }, readings: [], conditions: [free] }
      )
      done = finish(fitted:, symptoms: [{ id: "grinding", gone: true }, { id: "pulls", gone: false }])
      vehicle = ask(:get, "/vehicles/#{car["id"]}")
      expect(vehicle["axles"].first["state"]["severity"]).not_to match(/plan|stop/)
      # one axle bled is not new fluid for the car
      expect(vehicle["fluid"]["circuits"]).to eq(
        [
          { "axle" => "front", "renewed_on" => ApiHelper::TODAY, "estimated" => false },
          { "axle" => "rear", "renewed_on" => nil, "estimated" => true }
        ]
      )
      note = { date: "2024-03-16", odometer: { value: "30000" } }
      all = ask(:post, "/vehicles/#{car["id"]}/fluid-renewals", note)["fluid"]
      expect(all).to include("renewed_on" => "2024-03-16", "due_on" => "2026-03-16", "overdue_days" => 61)
      expect(vehicle["seen"].map { |mark| mark["text"] }).to eq(["noticed on the road: pulls to a side"])
      # what the job did not reach stands
      findings = ask(:get, "/vehicles/#{car["id"]}/findings")["findings"]
      expect(findings.map { |each| each["rule"] }).to contain_exactly(
        "seen-symptom-pulls",
        "seen-slide_pins-seized",
        "fluid-old"
      )
      expect(findings.find { |each| each["rule"] == "fluid-old" }["reading"]).to include("at the rear axle")
      expect(ask(:get, "/axles/#{front}/job-plan")["axles"].first["rotor"]["outcome"]).to eq("stay")
      logged = ask(:get, "/inspections/#{done["closed"]["inspection"]}")
      expect(logged["readings"].map { |row| row["event"] }).to include("fit", "renewed", "answered", "freed")
      expect(logged["readings"].map { |row| row["label"] }).to include(/grinding/)
      expect(ask(:get, "/vehicles/#{car["id"]}/timeline")["events"].map { |event| event["kind"] }).to include(
        "retorque",
        "first_reading"
      )
    end

    it "frees pins only where the work reached them, and logs no fluid that wasn't renewed" do
      # ticked by mistake: nothing new has gone on
      begun = KNOWLEDGE.works.flat_map(&:begun_by)
      tick(*ask(:get, address)["ticked"].select { |key| begun.include?(key.split(".").last) }, done: false)
      ask(:put, address("/scope"), { axles: { front.to_s => %w[inspect] }, reasons: { front.to_s => "Only to see" } })
      tick_until("chocks_away")
      # the rotors are condemned, and it still grinds
      rows = ask(:get, "/inspections/#{finish(do_not_drive: true)["closed"]["inspection"]}")["readings"]
      expect(rows.map { |row| row["event"] } & %w[freed renewed fit]).to be_empty
      expect(ask(:get, "/vehicles/#{car["id"]}/findings")["findings"].map { |each| each["rule"] }).to include(
        /slide_pins-seized/
      )
    end
  end

  describe "a job on both axles" do
    let(:rear) { car["axles"].last["id"] }
    let(:both) { [front, rear].to_h { |axle| [axle.to_s, %w[pads]] } }

    before do
      complete
      know(
        rear,
        ["caliper.kind", "floating_slide_pins", nil],
        ["parking_brake.kind", "cable", nil],
        %w[slide_pin_bolt.torque 28 N·m],
        ["slide_pin_bolt.drive", "hex-13", nil],
        %w[wheel_nut.torque 120 N·m],
        ["wheel_nut.drive", "hex-17", nil],
        ["wheel_nut.count", "5", nil],
        ["wear_sensor", "none", nil],
        %w[rotor.discard_thickness 8 mm]
      )
      ask(:put, address("/scope"), { axles: both })
      resolve_all
      ask(:patch, address, { state: "ready", because: "All is there" })
    end

    it "asks for the new thickness of each axle and ends both sets" do
      expect(job["fits"].length).to eq(1)
      expect(ask(:get, address)["fits"].map { |fit| [fit["axle_id"], fit["part"]] }).to eq(
        [[front, "pad"], [rear, "pad"]]
      )
      tick_until
      done =
        finish(
          fitted: [{ axle: front, part: "pad", value: "11.4" }, { axle: rear, part: "pad", value: "3/8", unit: "in" }]
        )
      expect(done["closed"]["sets"].map { |set| set.values_at("axle", "part", "life_km", "last_mm") }).to eq(
        [["front", "pad", nil, nil], ["rear", "pad", nil, nil]]
      )
      rows = ask(:get, "/inspections/#{done["closed"]["inspection"]}")["readings"]
      expect(rows.map { |row| row.values_at("event", "value", "unit") }).to eq([%w[fit 11.4 mm], %w[fit 3/8 in]])
      # what went on counts as read
      axles = ask(:get, "/vehicles/#{car["id"]}")["axles"]
      expect(axles.map { |axle| axle["readings"] }).to eq([4, 4])
      expect(axles.flat_map { |axle| axle["reasons"] }.map { |reason| reason["rule"] }).to all(
        match(/rotors-unmeasured|rotors-no-limit|enough/)
      )
    end

    it "lifts one axle at a time and doesn't finish with one axle done" do
      keys = ask(:get, address)["steps"].map { |step| step["key"] }
      tick_until("front.lift")
      tick("rear.lift")
      expect(status).to eq(422)
      tick_until(keys.reverse.find { |key| key.start_with?("front.") })
      open = fields(finish).keys
      expect(open).to include("steps.rear.lift", "steps.rear.pump", "steps.first_stops").and all(
              satisfy { |field| !field.start_with?("steps.front.") }
            )
    end
  end

  # common practice, no source: a cut takes a few tenths off each rotor, and both are cut
  it "logs machined rotors side by side and rejects a thickness under discard" do
    complete
    know(
      front,
      ["rotor.retention", "nothing", nil],
      %w[rotor.new_thickness 25 mm],
      %w[rotor.machine_to_thickness 23.4 mm],
      %w[bracket_bolt.torque 105 N·m],
      ["bracket_bolt.drive", "hex-18", nil]
    )
    readings =
      %w[left right].map do |side|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["24.60"] }
      end
    ask(:post, inspections, inspection("2026-05-10", "59900", *readings))
    ask(:put, "/approaches", { rotors: "turn" })
    ask(:put, address("/scope"), { axles: { front.to_s => %w[pads rotors_turn] } })
    resolve_all
    ask(:patch, address, { state: "ready", because: "The shop has time" })
    tick_until
    expect(fields(finish(fitted: [{ axle: front, part: "rotor", value: "22.9" }]))).to eq(
      "fitted.#{front}.rotor" => "too_thin"
    )
    rows =
      ask(
        :get,
        "/inspections/#{finish(fitted: [{ axle: front, part: "rotor", value: "24.2" }])["closed"]["inspection"]}"
      )[
        "readings"
      ]
    expect(rows.select { |row| row["event"] == "resurfaced" }.map { |row| row["value"] }).to eq(%w[24.2 24.2])
    expect(
      ask(:get, "/axles/#{front}/job-plan")["axles"].first["rotor"]["sides"].map { |side| side["sentence"] }
    ).to all(include("24.20 mm"))
  end
end
