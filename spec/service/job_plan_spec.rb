# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe Graver::Service::Jobs::JobPlan do
  include ApiHelper

  # One draft of each axle is planned anew each time.
  let(:drafts) { Hash.new { |known, axle_id| known[axle_id] = pad_job(axle_id)["id"] } }

  def plan(axle_id) = described_class.new(context).find(drafts[axle_id])
  def missing(axle_id) = plan(axle_id).gaps.select(&:blocks).map(&:field)
  def ids(plan) = plan.ordered.placed.map { |placed| placed.step.id }

  def value(field)
    return KNOWLEDGE.brake_data.choices(field, nil).keys.first if field.quantity == "choice"

    { "torque" => "30", "count" => "4" }.fetch(field.quantity, "22")
  end

  # Fills every gap until none is left: filling one may show the next.
  def fill(axle_id)
    6.times do
      gaps =
        missing(axle_id) +
          plan(axle_id)
            .torque
            .reject { |set| set.line.torque }
            .map { |set| KNOWLEDGE.brake_data.field("#{set.line.fastener}.torque") }
      return if gaps.empty?

      know(axle_id, *gaps.uniq.map { |field| [field.key, value(field), KNOWLEDGE.brake_data.units(field).first] })
    end
  end

  # What is common to every pad job, whatever the caliper: common practice, no source.
  it "is complete for every caliper kind once its data are filled in" do
    KNOWLEDGE.calipers.each do |caliper|
      vehicle = ask(:post, "/vehicles", { name: caliper.id, kind: caliper.vehicles.first })
      vehicle["axles"].each do |axle|
        next if caliper.drawn.include?("drum")

        know(axle["id"], ["caliper.kind", caliper.id, nil])
        fill(axle["id"])
        whole = plan(axle["id"])
        expect(whole.gaps.select(&:blocks)).to be_empty
        expect(whole.torque.map { |set| set.line.torque }).to all(be_a(Graver::Core::Planning::Torque))
        expect(ids(whole)).to include(
          "judge",
          "read_rotor",
          "clean_gloves",
          "pads_in",
          "corner_check",
          "pump",
          "first_stops"
        )
        expect(whole.parts.map { |part| part.line.id }).to include("pads")
      end
    end
  end

  it "gives no order with an unknown or impossible parking brake" do
    rear = car["axles"].last["id"]
    know(rear, ["caliper.kind", "floating_slide_pins", nil])
    expect(plan(rear)).to have_attributes(torque: [], ordered: have_attributes(placed: nil))
    expect(missing(rear).map(&:key)).to include("parking_brake.kind")
    know(rear, ["parking_brake.kind", "electric", nil])
    expect(ids(plan(rear))).to include("service_mode", "motor_closed")
    expect(plan(rear).tools.map { |tool| tool.line.id }).to include("scan_tool")
    know(rear, ["caliper.kind", "fixed_opposed", nil])
    expect(plan(rear)).to have_attributes(
      ordered: have_attributes(placed: nil),
      impossible: [[anything, /no cable and no motor/]]
    )
  end

  it "counts parts for the existing sides" do
    bike = ask(:post, "/vehicles", { name: "Wren", kind: "motorcycle", discs: { front: 1 } })["axles"].first["id"]
    know(
      bike,
      ["caliper.kind", "motorcycle_floating", nil],
      %w[caliper_mount_bolt.torque 30 N·m],
      ["caliper_mount_bolt.single_use", "once", nil]
    )
    expect(plan(bike).torque.to_h { |set| [set.line.fastener, set.line.count] }).to eq(
      "caliper_mount_bolt" => 2,
      "pad_pin" => 1
    )
    lines = plan(bike).parts.map(&:line)
    expect(lines.map { |line| [line.label, line.count] }).to include(["Set of pads for the whole axle (2 pads)", 1])
    expect(lines.map { |line| [line.id, line.count] }).to include(["single_use.caliper_mount_bolt", 2], ["pad_pins", 1])
  end

  # Geometry: pi/4 x 57^2 mm2 = 25.5 cm2; pads 11 mm new, 6 mm left: 10 mm a corner, both corners: 51 ml; rotors 1 mm
  # thicker on either side: 2 x 2.55 = 5.1 ml more.
  it "returns fluid pushed back and to draw off once the piston is known" do
    know(
      front,
      ["caliper.kind", "floating_slide_pins", nil],
      %w[pad.new_thickness 11 mm],
      %w[rotor.new_thickness 25 mm],
      ["rotor.retention", "nothing", nil]
    )
    readings = %w[left right].product(%w[inner outer]).map { |side, position| pad("6.0", side:, pad: position) }
    rotors =
      %w[left right].map do |side|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: ["24.00"] }
      end
    ask(
      :post,
      inspections,
      inspection(ApiHelper::TODAY, "60000", *readings, *rotors, conditions: [{ item: "fluid_level", value: "3/4" }])
    )
    expect(plan(front).fluid.plan.pushed).to be_nil
    know(
      front,
      ["caliper.piston_count", "1", nil],
      %w[caliper.piston_diameter 57 mm],
      %w[fluid.reservoir_volume 160 ml]
    )
    found = plan(front).fluid.plan
    # up to the next 5 ml of what finds no room, the level kept a tenth under MAX
    expect(found).to have_attributes(
      pushed: be_within(2).of(51),
      headroom: 40,
      draw_off: ((found.pushed - 36) / 5.0).ceil * 5
    )
    # the findings say the same of it
    summary = ask(:get, "/vehicles/#{car["id"]}/findings")["fluid"]["axles"].first
    expect(summary.values_at("pushed_ml", "draw_off_ml")).to eq([found.pushed.round, found.draw_off])
    job = pad_job(planned_for: nil)
    ask(
      :put,
      "/jobs/#{job["id"]}/scope",
      { axles: { front.to_s => %w[pads rotors_new] }, reasons: { front.to_s => "Lipped" } }
    )
    with_rotors = described_class.new(context).of_job(context.store.jobs.find(job["id"])).fluid.plan
    expect(with_rotors.pushed - found.pushed).to be_within(0.6).of(5.1)
  end
end
