# frozen_string_literal: true

require_relative "../support/planned_job"

# What a job costs and saves; figures made up.
RSpec.describe "The money of a job" do
  include PlannedJob

  let(:front) do
    axle(
      :front,
      {
        "caliper.kind": "floating_slide_pins",
        "rotor.retention": "nothing",
        "rotor.new_thickness": %w[25 mm],
        "rotor.machine_to_thickness": %w[23.5 mm],
        "rotor.discard_thickness": %w[22 mm]
      }
    )
  end
  let(:quote_at) { "/jobs/#{job_id}/quote" }

  def price(kind, item, amount, axle: nil)
    ask(:post, "/supplies", { kind:, item:, axle_id: axle, name: "Own choice", price: amount })
  end

  it "accepts a quote line by line and rejects a wrong total" do
    planned(front, "pads")
    lines = [
      { what: "Pads", amount: "120.50" },
      { what: "Labour, 2 h", amount: "190" },
      { what: "Tax", amount: "62.1" }
    ]
    wrong = ask(:put, quote_at, { total: "400", lines: })
    expect(fields(wrong)).to eq("total" => "differs")
    expect(wrong["error"]["fields"].first["message"]).to include("372.60")
    faulty = [{ what: " ", amount: "1" }, { what: "Pads", amount: "many" }, { what: "x" * 61, amount: "-1" }]
    expect(fields(ask(:put, quote_at, { total: nil, lines: faulty }))).to eq(
      "lines.0.what" => "missing",
      "lines.1.amount" => "not_a_number",
      "lines.2.what" => "too_long",
      "lines.2.amount" => "out_of_range"
    )
    kept = ask(:put, quote_at, { total: "372.60", lines: })
    expect(kept).to include("quote" => 372.6)
    expect(kept["quote_lines"].sum { |line| line["amount"] }).to eq(372.6)
    expect(ask(:put, quote_at, { total: nil, lines: })["money"]).to include("shop" => 372.6, "shop_from" => "quote")
    expect(ask(:put, quote_at, { total: nil, lines: [] })).to include("quote" => nil, "quote_lines" => [])
  end

  it "shows no saving while a price is missing, and counts own hours only if chosen" do
    plan = planned(front, "pads")
    ask(:put, quote_at, { total: "600" })
    expect(ask(:get, "/jobs/#{job_id}")["money"]).to include("saving" => nil, "own_time" => 0)
    plan.parts.each { |part| price("part", part.line.id, "10", axle: front) }
    plan.consumables.each { |each| price("consumable", each.id, "5") }
    ask(:post, "/jobs/#{job_id}/resolved", { items: plan.tools.map { |tool| "tools:#{tool.line.id}" }, done: true })
    money = ask(:get, "/jobs/#{job_id}")["money"]
    expect(money["unpriced"]).to be_empty
    expect(money["saving"]).to eq(600 - money["total"])
    ask(:put, "/money", { own_rate: "20" })
    valued = ask(:get, "/jobs/#{job_id}")["money"]
    expect(valued["own_time"]).to be_within(1).of(20 * Math.sqrt(valued["hours"]["low"] * valued["hours"]["high"]))
    expect(valued["saving"]).to be_within(0.02).of(money["saving"] - valued["own_time"])
    expect(fields(ask(:put, "/money", { own_rate: "-1" }))).to eq("own_rate" => "out_of_range")
  end

  it "prices machining and compares it with new rotors over their life" do
    know(front, %w[pad.new_thickness 12 mm])
    readings =
      %w[left right].map { |side| { **pad("24.5", side:, axle: front, method: "micrometer"), part: "rotor", pad: nil } }
    ask(:post, "/vehicles/#{car["id"]}/inspections", inspection("2026-04-01", "60000", *readings))
    plan = planned(front, "pads", "rotors_turn", reasons: { front.to_s => "they pulsate" })
    expect(parts(plan)).to include("turning" => 2)
    expect(plan.money.rotors).to be_empty
    price("part", "turning", "15", axle: front)
    price("part", "rotor", "60", axle: front)
    costs = self.plan.money.rotors.to_h { |each| [each.what, each] }
    # 24.5 less the cut of 0.4 leaves 2.1 mm above discard; a new one has 3.0 mm
    expect(costs["machined"].life_km / costs["new"].life_km).to be_within(0.02).of(2.1 / 3.0)
    expect(costs["machined"].per_1000_km / costs["new"].per_1000_km).to be_within(0.01).of((30 / 2.1) / (120 / 3.0))
    # below the machine-to thickness after the cut there is nothing to compare
    know(front, %w[rotor.machine_to_thickness 24.3 mm])
    expect(self.plan.money.rotors.map(&:what)).to eq(["new"])
  end
end
