# frozen_string_literal: true

require_relative "../support/planned_job"

# Jobs on drum brakes, with figures made up: common practice, no source.
RSpec.describe "Jobs on drum brakes" do
  include PlannedJob

  let(:shoes) do
    {
      "caliper.kind": "drum_leading",
      "parking_brake.kind": "shoes",
      "lining.fixing": "bonded",
      "lining.new_thickness": %w[5 mm],
      "lining.discard_thickness": %w[1.5 mm],
      "drum.new_diameter": %w[203 mm],
      "drum.maximum_diameter": %w[205 mm],
      "drum.retention": "screws",
      "drum_screw.torque": %w[8 N·m],
      "cylinder_bolt.torque": %w[10 N·m],
      "bleed_screw.torque": %w[8 N·m],
      "adjuster.kind": "star",
      "fluid.grade": "dot_4",
      "wheel_nut.torque": %w[110 N·m],
      "wheel_nut.count": "4"
    }
  end

  # left and right shoes, leading first
  def linings(axle_id, *mm, unit: "mm")
    [%w[left leading], %w[left trailing], %w[right leading], %w[right trailing]].zip(mm)
      .map { |(side, pad), value| pad(value, side:, pad:, axle: axle_id, unit:) }
  end

  def drum(axle_id, side, *mm, unit: "mm")
    { axle: axle_id, part: "drum", side:, event: "reading", method: "caliper", unit:, values: mm }
  end

  def log(*readings, conditions: [])
    ask(:post, inspections, inspection("2026-05-10", "60000", *readings, conditions:)).tap { expect(status).to eq(201) }
  end

  def mark(axle_id, side, item, mark) = { axle: axle_id, side:, item:, mark: }
  def reasons = ask(:get, "/vehicles/#{car["id"]}")["axles"].last["reasons"].map { |reason| reason["sentence"] }

  # J21
  it "renews shoes and cylinders one side at a time, the leak first and the cable last" do
    rear = axle(:rear, shoes)
    log(
      *linings(rear, "1.8", "2.6", "2.2", "2.9"),
      drum(rear, "left", "203.6", "203.7"),
      drum(rear, "right", "203.6", "203.5"),
      conditions: [mark(rear, "left", "cylinder", "wet")]
    )
    expect(reasons.join(" ")).to match(/wet under its boots.*Do not drive/)
    proposed = planning.plan(rear, "2026-05-23")
    expect(proposed.then { |job| context.store.jobs.find(job.id).works.fetch(rear) }).to include(
      "brake_shoes",
      "cylinders"
    )
    plan = planned(rear, "brake_shoes", "cylinders")
    expect(parts(plan)).to include("brake_shoes" => 1, "wheel_cylinder" => 2)
    expect_order(
      plan,
      "chock",
      "release_brake",
      "pedal_sign",
      "cable_slacken",
      "drum_off",
      "drum_look",
      "drums_back",
      "drum_open",
      "shoes_off",
      "cylinder_pipe_off",
      "cylinder_started",
      "cylinder_on",
      "shoes_on",
      "shoes_checked",
      "drum_on",
      "fluid_fresh",
      "bleed",
      "pump_shoes",
      "adjusters_set",
      "cable_last",
      "nuts_by_hand",
      "pump",
      "lower"
    )
    opened = plan.ordered.placed.map(&:key)
    expect(opened.index("rear.right.drum_open")).to be > opened.index("rear.left.drum_on")
    expect(opened.index("rear.right.drum_off")).to be < opened.index("rear.drums_back")
    expect([line(plan, "cylinder_bolt").count, line(plan, "bleed_screw").count]).to eq([4, 2])
    expect(steps(plan).grep(/pads|piston|caliper|rotor_on|disc/)).to be_empty
  end

  # J22
  it "measures riveted linings above the rivets and sets an adjustable bearing with a new pin" do
    rear =
      axle(
        :rear,
        {
          **shoes,
          "lining.fixing": "riveted",
          "lining.new_thickness": %w[3.5 mm],
          "lining.discard_thickness": %w[0.8 mm],
          "drum.retention": "hub",
          "drum.bearing": "adjustable"
        },
        kind: "off_roader"
      )
    log(*linings(rear, "2.1", "2.4", "2.1", "2.4"), drum(rear, "left", "205.2"), drum(rear, "right", "204.1"))
    # riveted linings have limits of their own: neither is under 1.6 mm above the rivets
    expect(reasons.join(" ")).to match(/Left drum: 205\.20.mm .* at or over its maximum.*Do not drive/)
    expect(plan_file(rear)).to have_attributes(limit_mm: 1.6, floor: have_attributes(mm: 0.8))
    plan = planned(rear, "brake_shoes", "drums_new")
    expect(plan.scope.included.first.rotors).to include(verdict: "replace", must: true, fits: ["drums_new"])
    planning.scope(job_id, { rear.to_s => ["brake_shoes"] }, { rear.to_s => "they look fine" })
  rescue Graver::InvalidEntry => e
    expect(e.faults.map(&:code)).to eq(["rotor_must"])
    expect_order(plan, "drum_pin_out", "drum_hub_off", "lining_read", "drum_wash", "drum_on_hub", "bearing_set")
    expect(said(plan, "bearing_set")).to include("new cotter pin")
    expect(said(plan, "lining_read")).to include("rivet heads")
    expect(parts(plan)).to include("drum" => 2, "drum_pins" => 2)
  else
    raise "a drum over its maximum was kept"
  end

  def plan_file(axle_id) = Graver::Service::Household::AxleRecords.new(context.for_request).find(axle_id)

  # J24: 2/32 in above the rivets against 1/32; rotor 1.102 in against 1.063
  it "keeps an American pickup in inches, discs in front and drums behind" do
    ask(:put, "/units", { pad: "32nd", rotor: "in", torque: "lbf·ft" })
    axles =
      vehicle(
        "pickup",
        front: {
          "caliper.kind": "floating_slide_pins",
          "rotor.new_thickness": %w[1.142 in],
          "rotor.discard_thickness": %w[1.063 in]
        },
        rear: {
          **shoes,
          "lining.fixing": "riveted",
          "lining.new_thickness": %w[5 32nd],
          "lining.discard_thickness": %w[1 32nd],
          "drum.new_diameter": %w[11.03 in],
          "drum.maximum_diameter": %w[11.12 in]
        }
      )
    front, rear = axles.values_at(:front, :rear)
    rotors = %w[left right].map { |side| drum(front, side, "1.102", unit: "in").merge(part: "rotor") }
    log(*rotors, *linings(rear, "2", "3", "2", "3", unit: "32nd"), drum(rear, "left", "11.06", unit: "in"))
    front_plan = planned(front, "pads").scope.axles.first
    expect(front_plan.overview.rotors_with_pads.verdicts["left"]).to have_attributes(
      reading_mm: be_within(0.01).of(27.99),
      outcome: "stay"
    )
    # read with a caliper, 2/32 in is above its own limit of 1/32: nothing to stop for, at the careful limit of 1/16
    file = plan_file(rear)
    expect([file.floor.mm, file.limit_mm.round(2), file.least_pad_mm.round(2)]).to eq([0.8, 1.6, 0.79])
    said = [*reasons, *ask(:get, "/axles/#{rear}/wear")["why"], *sides(rear)].join(" ")
    expect(said).to match(%r{2/32.in on})
    expect(said).not_to match(/\d.mm\b/)
  end

  def sides(axle_id)
    plan = ask(:get, "/axles/#{axle_id}/job-plan")
    plan["axles"].last["rotor"]["sides"].map { |side| side["sentence"] }
  end
end
