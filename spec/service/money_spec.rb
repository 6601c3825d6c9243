# frozen_string_literal: true

require_relative "../support/api_helper"

# What pads cost over their life, and what the vehicle has cost so far.
RSpec.describe Graver::Service::Jobs::Money do
  include ApiHelper

  before do
    know(
      front,
      ["caliper.kind", "floating_slide_pins", nil],
      %w[pad.new_thickness 11 mm],
      %w[rotor.new_thickness 25 mm],
      %w[rotor.discard_thickness 23 mm],
      %w[slide_pin_bolt.torque 28 N·m],
      ["slide_pin_bolt.drive", "hex-13", nil],
      %w[wheel_nut.torque 120 N·m],
      ["wheel_nut.drive", "hex-17", nil],
      ["wheel_nut.count", "5", nil]
    )
    positions = %w[left right].product(%w[inner outer])
    ask(
      :post,
      inspections,
      inspection(
        "2024-05-10",
        "40000",
        { axle: front, part: "pad", event: "fit" },
        { axle: front, part: "rotor", event: "fit" }
      )
    )
    ask(
      :post,
      inspections,
      inspection(
        "2026-05-10",
        "60000",
        *positions.map { |side, pad| pad("7.0", side:, pad:) },
        *%w[left right].map { |side| rotor(side, "24.40") }
      )
    )
  end

  def rotor(side, value)
    { axle: front, part: "rotor", side:, event: "reading", method: "micrometer", unit: "mm", values: [value] }
  end
  def stock(item, price, **more)
    ask(:post, "/supplies", { kind: "part", item:, axle: front, name: "#{item} #{price}", price:, **more })
  end
  def job = @job ||= pad_job
  def money = ask(:get, "/jobs/#{job["id"]}")["money"]

  # 4 mm in 20,000 km: 8 mm from 11 down to 3 last some 40,000 km, a little less for what may happen on the way; 40 over
  # that is about 1 per 1,000 km.
  it "divides the price by the forecast life of a new set" do
    stock("pads", "40")
    expect(money["choices"]).to contain_exactly(
      include(
        "life_km" => be_within(8000).of(40_000),
        "pads_per_1000_km" => be_within(0.25).of(1.0),
        "rotors_per_1000_km" => nil
      )
    )
  end

  # Wear of a rotor 0.6 mm in 20,000 km, 2 mm in it: 60 km of every 100 of the pads' life; a pair at 100: 1.5 per
  # 1,000 km.
  it "counts the rotors' share by their own wear" do
    stock("pads", "40")
    stock("rotor", "50")
    expect(money["choices"].first["rotors_per_1000_km"]).to be_within(0.5).of(1.5)
  end

  it "lets a harder or thicker set last longer, and skips one at its limit when new" do
    stock("pads", "40")
    stock("pads", "55", compound: "harder")
    stock("pads", "50", thickness: "13", unit: "mm")
    stock("pads", "10", thickness: "2.5", unit: "mm")
    lives = money["choices"].to_h { |choice| [choice["name"], choice["life_km"]] }
    expect(lives.keys).to eq(["pads 40", "pads 55", "pads 50"])
    expect(lives.values_at("pads 55", "pads 50")).to all(be > lives["pads 40"])
    # rates 0.8 times as fast: the life over 0.8
    expect(lives["pads 55"] / lives["pads 40"].to_f).to be_within(0.03).of(1.25)
  end

  it "lists what has no price, and the cost of tools to buy" do
    expect(money["unpriced"]).to include("Set of pads for the whole axle (4 pads)", "Brake cleaner")
    ask(:post, "/supplies", { kind: "tool", item: "press", name: "Press", price: "35" })
    expect(money).to include("tools" => 35.0, "total" => 35.0)
    ask(:put, "/tools", { tool: "press", owned: true })
    expect(money["tools"]).to eq(0)
  end

  it "counts cans and bottles, but a tube once" do
    { "cleaner" => "5", "paste" => "9", "fluid" => "10" }.each do |item, price|
      ask(:post, "/supplies", { kind: "consumable", item:, name: item, price: })
    end
    # two cans of cleaner, one tube of paste, one bottle to top up
    expect(money["consumables"]).to eq(29.0)
  end

  it "adds up finished jobs over the distance on file" do
    2.times do |turn|
      id = pad_job(planned_for: nil)["id"]
      context.store.jobs.record_event(
        id,
        "finished",
        { hours: 2 + turn, spent: 60.5 },
        at: "2026-05-1#{turn}T10:00:00Z"
      )
    end
    expect(money).to include("spent" => 121.0, "over_km" => 20_000, "hours" => include("jobs" => 2))
    expect(ask(:get, "/vehicles/#{car["id"]}")["jobs_done"].map { |done| done["day"] }).to eq(%w[2026-05-11 2026-05-10])
  end
end
