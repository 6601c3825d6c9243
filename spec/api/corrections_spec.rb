# frozen_string_literal: true

require_relative "../support/api_helper"

# Entries are corrected, voided and restored with a reason; the original stays beside them.
RSpec.describe "Corrections in the API" do
  include ApiHelper

  let(:seized) { { axle: front, side: "left", item: "slide_pins", mark: "seized" } }
  let(:level) { { item: "fluid_level", value: "1/2" } }
  let!(:logged) do
    ask(
      :post,
      inspections,
      inspection("2026-05-10", "60000", pad("7.4"), pad("7.2", pad: "outer"), conditions: [seized, level])
    )[
      "id"
    ]
  end
  let(:kept) { ask(:get, "/inspections/#{logged}") }

  def correct(**given) = ask(:post, "/inspections/#{logged}/corrections", { reason: "misread", **given })
  def mark(at = 0) = kept["marks"][at]["id"]
  def rules = ask(:get, "/vehicles/#{car["id"]}/findings")["findings"].map { |found| found["rule"] }

  it "strikes a reading out and restores it, once each" do
    reading = kept["readings"].first["id"]
    count = -> { ask(:get, "/axles/#{front}/wear")["axle"]["readings"] }
    expect(count.call).to eq(2)
    expect(correct(reading:, void: true)["readings"].first).to include("void" => true, "value" => "7.4")
    expect(count.call).to eq(1)
    expect(fields(correct(reading:, void: true))).to eq("value" => "unchanged")
    correct(reading:, void: false)
    expect(fields(correct(reading:, void: false))).to eq("value" => "unchanged")
    expect(count.call).to eq(2)
  end

  it "changes a mark to another of its kind, and the state follows" do
    expect(rules).to include("seen-slide_pins-seized")
    changed = correct(condition: mark, mark: "stiff")["marks"].first
    expect(changed).to include("mark" => "stiff", "corrections" => [include("reason" => "misread")])
    expect(rules).to include("seen-slide_pins-stiff").and(satisfy { |all| !all.include?("seen-slide_pins-seized") })
    correct(condition: mark, void: true)
    expect(rules.grep(/slide_pins/)).to be_empty
    correct(condition: mark, void: false)
    expect(rules).to include("seen-slide_pins-stiff")
  end

  it "rejects an empty or impossible correction, or one of another inspection" do
    expect(fields(correct(condition: mark, mark: "seized"))).to eq("value" => "unchanged")
    expect(fields(correct(condition: mark, mark: "wet"))).to eq("mark" => "unknown_mark")
    expect(fields(correct(condition: mark(1), value: "9"))).to have_key("value")
    expect(fields(correct(condition: mark, void: true, reason: " "))).to eq("reason" => "missing")
    other = ask(:post, inspections, inspection("2026-05-11", "60010", pad("7.3")))["id"]
    ask(:post, "/inspections/#{other}/corrections", { condition: mark, void: true, reason: "misread" })
    expect(status).to eq(404)
    expect(ask(:get, "/inspections/#{logged}")["marks"].map { |each| each["void"] }).to eq([false, false])
  end

  it "strikes out and restores a whole inspection" do
    correct(void: true)
    expect(rules.grep(/slide_pins/)).to be_empty
    expect(ask(:get, "/vehicles/#{car["id"]}")["axles"].first["readings"]).to eq(0)
    expect(fields(correct(void: true))).to eq("reason" => "unchanged")
    correct(void: false)
    expect(rules).to include("seen-slide_pins-seized")
  end
end
