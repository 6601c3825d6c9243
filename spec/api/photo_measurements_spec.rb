# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "Pads measured in a photo, in the API" do
  include JobHelper

  let(:marks) do
    {
      known: "rule",
      length: "10 mm",
      away: "beside",
      size: [4000, 3000],
      ends: [1000, 1000, 1000, 1400],
      edges: [1300, 1000, 1300, 1240],
      pixel: 1.5
    }
  end

  def faults = body["error"]["fields"].map { |fault| fault["field"] }
  def body = JSON.parse(last_response.body)

  it "returns the thickness between two bounds, which are logged as a reading of its own kind" do
    measured = ask(:post, "/photo-measurements", marks)
    expect(measured).to include("value" => "6.0", "unit" => "mm", "largest" => "depth")
    low, high = measured.values_at("low", "high")
    expect(low.to_f).to be_between(5.4, 5.9)
    photo = pad(low).merge(method: "photo", upper: high)
    ask(:post, inspections, inspection("2026-05-10", "60000", photo))
    read = ask(:get, "/axles/#{front}/drawing")["parts"].find { |part| part["id"] == "inner_pad" }["data"].first
    expect(read).to include("label" => "Last reading", "value" => "6.0 mm on 10 May 2026")
  end

  it "takes the length in inches" do
    expect(ask(:post, "/photo-measurements", { **marks, length: "0.5 in" })).to include("value" => "7.6")
    # as lengths are shown, with a space that doesn't break
    expect(ask(:post, "/photo-measurements", { **marks, length: "10\u00a0mm" })).to include("value" => "6.0")
  end

  it "says by field what can't be measured" do
    {
      { length: "long" } => ["length"],
      { length: "0" } => ["length"],
      { length: "50 %" } => ["length"],
      { length: "" } => ["length"],
      { known: "thumb" } => ["known"],
      { away: "nowhere" } => ["away"],
      { ends: [5, 5, 5, 5] } => ["ends"],
      { edges: [5, 5, 9, 9] } => ["edges"],
      { edges: [5, 5] } => ["edges"],
      { edges: [5, 5, 1e9, 5] } => ["edges.2"],
      { size: [0, 3000] } => ["size.0"]
    }.each do |wrong, fields|
      ask(:post, "/photo-measurements", { **marks, **wrong })
      expect([wrong, status, faults]).to eq([wrong, 422, fields])
    end
  end

  it "keeps no reading without its upper bound" do
    ask(:post, inspections, inspection("2026-05-10", "60000", pad("5.6").merge(method: "photo")))
    expect(status).to eq(422)
    expect(faults).to eq(["readings.0.upper"])
  end
end
