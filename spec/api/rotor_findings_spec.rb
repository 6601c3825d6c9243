# frozen_string_literal: true

require_relative "../support/findings_helper"

RSpec.describe "Findings of rotors in the API" do
  include FindingsHelper

  it "judges rotors by thickness, faces, variation and approach, both the same" do
    plan = -> { findings["axles"].first["rotors"]["outcome"] }
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-10",
        "60000",
        *all_pads("8", "8", "8", "8"),
        rotor("left", "27.80", "27.80"),
        rotor("right", "27.80", "27.81"),
        conditions: marks(%w[left rotor_face smooth inner])
      )
    )
    expect(plan.call).to eq("stay")
    ask(:put, "/approaches", { rotors: "new" })
    # no pads are due, so it is a matter of the job; common practice, no source
    expect([plan.call, pad_job["axles"].first["rotor"]["outcome"]]).to eq(%w[stay new_by_approach])
    ask(:put, "/approaches", { rotors: "reuse" })
    runout = {
      axle: front,
      part: "runout",
      side: "right",
      event: "reading",
      method: "dial",
      unit: "mm",
      values: ["0.12"]
    }
    2.times do |at|
      ask(:post, inspections, inspection("2026-05-11", "6001#{at}", rotor("left", "27.80", "27.70"), runout))
      expect(found("rotor-runout-first").length).to eq(1 - at)
    end
    expect([found("rotor-variation").first, found("rotor-runout").first]).to match(
      [
        include("side" => "left", "sentence" => /0\.100 mm.*0\.015 mm/),
        include("side" => "right", "sentence" => /0\.120 mm.*0\.050 mm/)
      ]
    )
    expect(plan.call).to eq("turn")
    ask(
      :post,
      inspections,
      inspection("2026-05-12", "60020", rotor("left", "27.75"), conditions: marks(%w[right rotor_face cracked outer]))
    )
    expect([plan.call, job_verdict, ask(:get, "/vehicles/#{car["id"]}")["state"]["severity"]]).to eq(
      %w[replace replace stop]
    )
  end

  it "doesn't judge an unmeasured rotor, and judges a new one by its known thickness" do
    know(front, ["rotor.new_thickness", nil, nil])
    ask(:post, inspections, inspection("2026-05-10", "60000", *all_pads("8", "8", "8", "8")))
    expect(rotors["outcome"]).to eq("unmeasured")
    ask(:post, inspections, inspection("2026-05-11", "60010", { axle: front, part: "rotor", event: "fit" }))
    expect(rotors["outcome"]).to eq("unmeasured")
    know(front, %w[rotor.new_thickness 30 mm])
    expect([rotors["outcome"], rotors["sides"].first["sentence"]]).to match(["stay", /30\.00 mm/])
  end

  # common practice, no source: a rotor that steel ran on, deep grooves and hard heat spots never stay; advice, verdict
  # and the proposed scope say the same
  it "lets no rotor stay with metal to metal, deep grooves or heat spots" do
    metal = pad("6", pad: "inner").except(:values, :method, :unit).merge(event: "metal")
    sound = %w[left right].map { |side| rotor(side, *["27.8"] * 4) }
    ask(:post, inspections, inspection("2026-05-10", "60000", metal, pad("6.0", pad: "outer"), *sound))
    expect(found("inner-thin").first).to include(
      "side" => "left",
      "sentence" => /6\.0 mm thinner/,
      "causes" => include(include("label" => "Slide pins seized or dry"))
    )
    expect(found("rotor-metal").first).to include("side" => "left", "advice" => /machine or replace/)
    expect([rotors["outcome"], rotors["because"], rotors["sides"].first["sentence"], job_work]).to match(
      ["turn", "condition", /a pad ran metal to metal on this rotor \(left\)/, "turn"]
    )
    know(front, %w[rotor.machine_to_thickness 27.6 mm])
    expect([rotors["outcome"], job_work]).to eq(%w[replace new])
    # new pads do not heal it, new rotors do
    renewed = ->(part) { { axle: front, part:, event: "fit" } }
    ask(:post, inspections, inspection("2026-05-11", "60010", renewed["pad"]))
    expect(found("rotor-metal")).not_to be_empty
    ask(:post, inspections, inspection("2026-05-12", "60020", renewed["rotor"]))
    expect([found("rotor-metal"), rotors["outcome"]]).to eq([[], "stay"])
  end

  it "treats each face mark the same in advice, verdict and scope" do
    sound = %w[left right].map { |side| rotor(side, *["27.8"] * 4) }
    ask(:post, inspections, inspection("2026-05-09", "59990", *all_pads("8", "8", "8", "8")))
    expected = {
      "grooved_light" => %w[stay stay],
      "grooved" => %w[stay stay],
      "grooved_deep" => %w[turn turn],
      "heat_spotted" => %w[replace new],
      "lip_high" => %w[stay stay],
      "cracked" => %w[replace new]
    }
    expected.each_with_index do |(mark, verdict), at|
      ask(
        :post,
        inspections,
        inspection("2026-05-10", (60_000 + at).to_s, *sound, conditions: marks(["left", "rotor_face", mark, "outer"]))
      )
      expect([rotors["outcome"], job_work]).to eq(verdict), mark
    end
    know(front, ["rotor.discard_thickness", nil, nil])
    ask(
      :post,
      inspections,
      inspection("2026-05-11", "61000", conditions: marks(%w[left rotor_face grooved_deep outer]))
    )
    expect([rotors["outcome"], job_work]).to eq(%w[face_bad new])
    turning = pad_job(planned_for: nil)
    expect(
      ask(:put, "/jobs/#{turning["id"]}/scope", { axles: { front.to_s => %w[pads rotors_turn] } })["scope"][
        "axles"
      ].first[
        "rotors"
      ][
        "chosen"
      ]
    ).to eq("turn")
    expect(fields(ask(:put, "/jobs/#{turning["id"]}/scope", { axles: { front.to_s => %w[pads] } }))).to eq(
      "reasons.#{front}" => "missing"
    )
  end
end
