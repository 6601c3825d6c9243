# frozen_string_literal: true

require_relative "../support/api_helper"

# What a job proposes to do, from forecast, verdict and what was seen.
RSpec.describe Graver::Service::Jobs::Scope do
  include ApiHelper

  before do
    know(
      front,
      ["caliper.kind", "floating_slide_pins", nil],
      %w[rotor.discard_thickness 23 mm],
      %w[rotor.new_thickness 25 mm],
      ["rotor.retention", "nothing", nil]
    )
  end

  def works(axle = front)
    Graver::Service::Jobs::JobPlan
      .new(context)
      .proposed(axle)
      .scope
      .axles
      .find { |scope| scope.file.axle.id == axle }
      .works
  end
  def seen(item, mark)
    ask(
      :post,
      inspections,
      inspection("2026-05-10", "60000", pad("8"), conditions: [{ axle: front, side: "left", item:, mark: }])
    )
  end

  def rotors(value)
    readings =
      %w[left right].map do |side|
        { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] }
      end
    ask(:post, inspections, inspection("2026-05-10", "60000", *readings))
  end

  it "proposes an inspection, or worn pads with clips once they were read" do
    expect(works).to eq(%w[inspect])
    ask(:post, inspections, inspection("2026-05-10", "60000", *all_pads("2.9", "3", "3", "3")))
    expect(works).to eq(%w[pads clips])
    know(front, ["wear_sensor", "both", nil])
    expect(works).to eq(%w[pads clips sensors])
    know(front, ["caliper.kind", "fixed_opposed", nil])
    expect(works).to eq(%w[pads sensors])
  end

  # common practice, no source: what an inspection finds asks for its own part
  it "uses the marks of the last inspection" do
    {
      %w[slide_pins seized] => "pins",
      %w[hose cracked] => "hose",
      %w[piston wet] => "caliper"
    }.each do |(item, mark), work|
      @car = nil
      know(front, ["caliper.kind", "floating_slide_pins", nil])
      seen(item, mark)
      expect(works).to include(work), "#{item} #{mark}"
    end
  end

  # common practice, no source: new rotors want new pads; else the pads say why themselves
  it "gives the pads' own reason" do
    because = -> { Graver::Service::Jobs::JobPlan.new(context).proposed(front).scope.axles.first.proposed["pads"] }
    rotors("22.50")
    expect(because.call).to eq("Fit new pads with new rotors.")
    @car = nil
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-11",
        "60020",
        *%w[left right].product(%w[inner outer]).map { |side, position| pad("2.4", side:, pad: position) }
      )
    )
    expect(plain(because.call)).to eq("Left inner pad: 2.4 mm on 11 May 2026, at or under your limit of 3.0 mm.")
  end

  it "follows the rotors' verdict" do
    rotors("22.50")
    expect(works).to include("rotors_new")
    ask(:put, "/approaches", { rotors: "new" })
    expect(works).to include("rotors_new")
  end

  it "machines rotors where the approach says so and they are thick enough" do
    rotors("24.90")
    ask(:post, inspections, inspection("2026-05-11", "60010", *all_pads("2.9", "3", "3", "3")))
    know(front, %w[rotor.machine_to_thickness 23.4 mm])
    ask(:put, "/approaches", { rotors: "turn" })
    expect(works).to include("rotors_turn")
    ask(:put, "/approaches", { rotors: "reuse" })
    expect(works).to eq(%w[pads clips])
  end

  # common practice, no source: practitioners disagree, and each approach is a way of its own through the job
  it "follows the approaches its owner chose, for every job" do
    know(front, %w[slide_pin_bolt.torque 28 N·m], %w[bleed_screw.torque 8 N·m])
    ask(:post, inspections, inspection("2026-05-11", "60010", *all_pads("2.9", "3", "3", "3")))
    rotors("24.90")
    steps = -> { ask(:get, "/axles/#{front}/job-plan")["steps"].map { |step| step["key"] } }
    expect(steps.call).to include("front.left.deglaze", "bed_in").and(satisfy { |keys| keys.grep(/screw_open/).empty? })
    ask(
      :put,
      "/approaches",
      { clips: "reuse", bleed: "always", fluid_back: "screw", deglaze: "leave", bed_in: "series" }
    )
    expect(works).to eq(%w[pads bleed])
    found = steps.call
    expect(found).to include("front.left.wipe_rotor", "front.left.clips_back", "bed_in_series", "front.right.bleed")
    order = %w[front.left.screw_open front.left.piston_home front.left.screw_closed front.left.pads_in]
    expect(found & order).to eq(order)
    expect(fields(ask(:put, "/approaches", { bed_in: "race" }))).to eq("bed_in" => "unknown_choice")
    expect(ask(:get, "/vehicles/#{car["id"]}/findings")["approaches"].map { |approach| approach["id"] }).to eq(
      %w[pads rotors inspection]
    )
  end

  it "offers shoes only where there are some" do
    rear = car["axles"].last["id"]
    know(rear, ["caliper.kind", "floating_slide_pins", nil], ["parking_brake.kind", "cable", nil])
    offered = -> { ask(:get, "/axles/#{rear}/job-plan")["scope"]["axles"].last["works"].map { |work| work["id"] } }
    expect(offered.call).not_to include("shoes")
    know(rear, ["parking_brake.kind", "drum_in_hat", nil])
    expect(offered.call).to include("shoes")
  end

  it "asks whether old pads should run on new rotors" do
    job = pad_job(planned_for: nil)
    plan = ask(:put, "/jobs/#{job["id"]}/scope", { axles: { front.to_s => %w[rotors_new] } })
    expect(plan["scope"]["warnings"]).to eq(
      ["New pads on the front axle too? Old pads have worn to fit the old faces."]
    )
    expect(plan["steps"].map { |step| step["key"] }).to include("front.left.pads_back", "front.left.degrease").and(
      satisfy { |keys| !keys.include?("front.left.pads_in") }
    )
  end
end
