# frozen_string_literal: true

require_relative "../support/planned_job"

# Jobs on trailers, with figures made up: common practice, no source.
RSpec.describe "Jobs on trailers" do
  include PlannedJob

  # What stands in no plan of a trailer: it has neither engine nor pedal, nor fluid.
  foreign =
    /pedal(?! in the tow)|engine|\bfluid\b|bleed|reservoir|park the (?:car|vehicle)|handbrake of the car|cylinder|caliper/i

  let(:hub) do
    {
      "lining.fixing": "bonded",
      "lining.new_thickness": %w[5 mm],
      "drum.new_diameter": %w[200 mm],
      "drum.maximum_diameter": %w[201.5 mm],
      "wheel_nut.torque": %w[90 N·m],
      "wheel_nut.count": "5"
    }
  end

  def trailer(axles, brakes, **data)
    @car = ask(:post, "/vehicles", { name: "Box", kind: "trailer", axles:, brakes: })
    car["axles"].each { |axle| know(axle["id"], *data.map { |key, value| [key.to_s, *value, nil].first(3) }) }
    expect(status).to eq(200)
    car["axles"].map { |axle| axle["id"] }
  end

  def said_of(plan, axle)
    words = plan.wording(KNOWLEDGE, axle)
    plan.ordered.placed.map { |placed| words.trade([placed.step.text, placed.step.why].compact.join(" ")) }
  end

  # J23
  it "looks at the magnets of an electric trailer and tries it from the tow vehicle at walking pace" do
    axle, = trailer(1, "drum_electric", **hub, "drum.bearing": "adjustable")
    expect(car["axles"].map { |each| each.values_at("name", "brakes") }).to eq([%w[single drum]])
    found = planned(axle, "inspect_drum")
    expect_order(
      found,
      "hitch",
      "unplug",
      "chock_trailer",
      "lift_electric",
      "shake",
      "trailer_drum_off",
      "drum_look_electric",
      "magnets_measured",
      "drum_on_hub",
      "bearing_set",
      "electric_adjusted",
      "lower_trailer",
      "star",
      "magnets_heard",
      "chocks_away_trailer",
      "breakaway_switch",
      "first_pull_electric",
      "retorque_trailer"
    )
    expect(said_of(found, "single").grep(foreign)).to be_empty
    expect(tools(found)).to include("multimeter")
    expect(said(found, "lift_electric")).to include("frame, never at the axle tube")
    expect(parts(planned(axle, "magnets"))).to include("magnet" => 2, "drum_pins" => 2)
  end

  it "takes one to three axles and the two kinds of brake, of a trailer only" do
    bad = ->(**given) { fields(ask(:post, "/vehicles", { name: "Box", kind: "trailer", **given })).keys }
    expect([bad[axles: 4], bad[axles: 0], bad[brakes: "fixed_opposed"]]).to eq([["axles"], ["axles"], ["brakes"]])
    expect(bad[kind: "car", axles: 1, brakes: "drum_electric"]).to match_array(%w[axles brakes])
    expect(ask(:get, "/garage")["vehicles"]).to be_empty
  end

  # J26
  it "renews shoes and cables of a caravan one side at a time: wheels, then cables, then the rod" do
    _, rear = trailer(2, "drum_overrun", **hub, "drum.bearing": "staked", "drum_hub_nut.torque": %w[280 N·m])
    found = planned(rear, "brake_shoes", "trailer_cables")
    expect_order(
      found,
      "hitch",
      "chock_trailer",
      "crack_nuts",
      "lift_overrun",
      "shake",
      "coupling_out",
      "rod_slacken",
      "trailer_nut_off",
      "trailer_drum_off",
      "drum_look_overrun",
      "trailer_drums_back",
      "shoes_off_overrun",
      "cable_new",
      "shoes_on_overrun",
      "trailer_shoes_checked",
      "drum_on_hub",
      "trailer_nut_on",
      "overrun_adjusted",
      "cables_and_rod",
      "trailer_brake_tried",
      "nuts_by_hand",
      "lower_trailer",
      "breakaway_cable",
      "chocks_away_trailer",
      "first_pull_overrun",
      "reverse_tried"
    )
    keys = found.ordered.placed.map(&:key)
    expect(keys.index("rear.right.trailer_drum_open")).to be > keys.index("rear.left.trailer_nut_on")
    expect(said_of(found, "rear").grep(foreign)).to be_empty
    expect(said(found, "overrun_adjusted")).to include("forward only")
    expect(found.ordered.placed.find { |placed| placed.step.id == "breakaway_cable" }.step.mandatory).to be(true)
    expect(parts(found)).to include("brake_shoes" => 1, "trailer_cable" => 2, "drum_hub_nut" => 2)
    expect(line(found, "drum_hub_nut").count).to eq(2)
    # no machine shop turns a drum with its hub and bearings
    works = ask(:get, "/jobs/#{job_id}")["scope"]["axles"].last
    expect([works["works"].map { |work| work["id"] }, works["rotors"]["works"]]).to match(
      [include("expanders"), { "new" => "drums_new" }]
    )
  end

  it "knows no fluid, no pedal and no parking brake of its own on a trailer" do
    axles = trailer(3, "drum_overrun", **hub)
    expect(car["axles"].map { |axle| axle["name"] }).to eq(%w[front middle rear])
    fields = ask(:get, "/axles/#{axles.first}/brake-data")["fields"].map { |field| field["key"] }
    expect(fields.grep(/fluid|cylinder|parking|rotor|caliper\.pi|hose|sensor/)).to be_empty
    form = ask(:get, "/vehicles/#{car["id"]}/inspection-form")
    expect(form["wheels"].map { |wheel| wheel["label"] }.length).to eq(6)
    expect(form["figures"]).to be_empty
    items = form["vehicle_items"].flat_map { |item| item["marks"].map { |mark| mark["id"] } }
    expect(items).to include("pushes", "breakaway")
    expect(items & %w[soft_pedal dark warning_light]).to be_empty
    expect(form["wheels"].flat_map { |wheel| wheel["items"] } & %w[cylinder hose pipe brake_cable]).to be_empty
    works = ask(:get, "/axles/#{axles.first}/job-plan")["axles"].first
    expect(works.to_s).not_to match(/fluid|caliper/i)
    expect(ask(:get, "/vehicles/#{car["id"]}")["fluid"]).to be_nil
    expect(ask(:get, "/vehicles/#{car["id"]}/findings")["fluid"]).to be_nil
    ask(
      :post,
      "/vehicles/#{car["id"]}/claims/log",
      { axle: axles[1], part: "pad", value: "3", odometer: { value: "9000" } }
    )
    expect(status).to be_between(200, 201)
  end
end
