# frozen_string_literal: true

require_relative "../support/planned_job"

RSpec.describe "Follow-ups in the API" do
  include PlannedJob

  let(:front) { axle(:front, { "caliper.kind": "floating_slide_pins", "pad.new_thickness": %w[12 mm] }) }
  let(:home) { "/vehicles/#{(front && car)["id"]}" }

  def follow_ups = ask(:get, home)["follow_ups"]
  def uneven
    ask(:get, "#{home}/findings")["findings"].find { |each| each["causes"].any? && each["side"] == "left" }
  end
  def add(**given) = ask(:post, "#{home}/follow-ups", given)
  def close(id, because) = ask(:patch, "/follow-ups/#{id}", { because: })

  it "stay open until closed with a reason, and can be reopened" do
    made = add(text: " Plug of the adjuster window missing ", axle_id: front, side: "left")
    expect(made).to include("text" => "Plug of the adjuster window missing", "due" => false, "closed_on" => nil)
    expect(follow_ups).to contain_exactly(include("id" => made["id"], "side" => "left"))
    expect(fields(close(made["id"], " "))).to eq("because" => "missing")
    expect(close(made["id"], "A new plug")).to include("closed_because" => "A new plug", "closed_on" => "2026-05-16")
    other = add(text: "Squeal")
    expect(follow_ups.map { |each| each["id"] }).to eq([other["id"], made["id"]])
    expect(close(made["id"], nil)).to include("closed_on" => nil)
    close(9999, "x")
    expect(status).to eq(404)
  end

  it "rejects by field" do
    expect(fields(add(text: " ", axle_id: 999, side: "top", look_on: "2026-02-30"))).to eq(
      "axle_id" => "unknown_axle",
      "side" => "unknown_choice",
      "text" => "missing",
      "look_on" => "not_a_day"
    )
    expect(fields(add(text: "x" * 301, look_on: "2026-05-15"))).to eq("text" => "too_long", "look_on" => "in_past")
    expect(fields(add(text: "Noise", look_on: "2036-01-01"))).to eq("look_on" => "out_of_range")
    50.times { |at| add(text: "Noise #{at}") }
    expect(fields(add(text: "One more"))).to eq("" => "too_many")
  end

  it "return on the timeline, and set the vehicle to watch when due" do
    add(text: "Noise from the rear", look_on: "2026-06-10")
    events = ask(:get, "#{home}/timeline")["events"].select { |each| each["kind"] == "relook" }
    expect(events).to contain_exactly(include("date" => "2026-06-10", "text" => "Check again: Noise from the rear"))
    done = add(text: "Squeal", look_on: "2026-06-11")
    close(done["id"], "Paste on the pad backs")
    again = ask(:get, "#{home}/timeline")["events"].select { |each| each["kind"] == "relook" }
    expect(again.map { |each| each["date"] }).to eq(["2026-06-10"])
    readings = sound_axles
    ask(:post, "#{home}/inspections", inspection("2026-05-15", "60000", *readings))
    expect(ask(:get, home)["state"]["severity"]).to eq("good")
    follow_up = add(text: "Hub nut", look_on: "2026-05-16")
    expect(ask(:get, home)).to include(
      "state" => include("severity" => "watch"),
      "why" => "A follow-up is due: Hub nut."
    )
    close(follow_up["id"], "Tight")
    expect(ask(:get, home)["state"]["severity"]).to eq("good")
  end

  # A pad worn to its plate beside one nearly new: common practice, no source
  it "keep uneven wear with or without its cause" do
    readings = { "inner" => "3.5", "outer" => "9" }.map { |pad, mm| pad(mm, side: "left", pad:, axle: front) }
    ask(:post, "#{home}/inspections", inspection("2026-05-15", "60000", *readings))
    finding = uneven
    answer = { rule: finding["rule"], axle_id: front, side: "left" }
    expect(fields(ask(:post, "#{home}/causes", { **answer, cause: "witchcraft" }))).to eq("cause" => "unknown_choice")
    expect(fields(ask(:post, "#{home}/causes", { **answer, side: "right", cause: "none" }))).to eq(
      "rule" => "unknown_item"
    )
    none = ask(:post, "#{home}/causes", { **answer, cause: "none" })
    expect(none).to include("look_on" => "2026-08-16", "text" => match(/no cause found\z/))
    expect(uneven["answered"]).to include("id" => none["id"], "closed_because" => nil)
    ask(:post, "#{home}/causes", { **answer, cause: "pins_stuck" })
    expect(uneven["answered"]).to include("closed_because" => "Slide pins seized or dry")
  end
end
