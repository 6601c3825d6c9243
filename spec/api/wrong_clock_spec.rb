# frozen_string_literal: true

require_relative "../support/api_helper"

# Entries made while this machine's clock was wrong.
RSpec.describe "Entries dated after today" do
  include ApiHelper

  # Logged on a day a year from now, as a clock that is wrong has it.
  before do
    ask(:post, inspections, inspection("2026-03-01", "60000", *all_pads("7", "7", "7", "7")))
    later = DemoFile.context(database, today: "2027-05-16")
    pads = all_pads("2", "2", "2", "2").map { |pad| { **pad, answer: "keep" } }
    Graver::Service::Measuring::LogInspection.new(later.for_request).call(
      car["id"],
      { date: "2027-05-16", odometer: { value: "60100", keep: true }, readings: pads, conditions: [] }
    )
    later.store.close
  end

  it "don't count and don't block today's odometer, and are named until they are corrected" do
    ask(:post, inspections, inspection("2026-05-10", "62000", *all_pads("6.5", "6.5", "6.5", "6.5")))
    expect(status).to eq(201)
    vehicle = ask(:get, "/vehicles/#{car["id"]}")
    expect(vehicle["unusable"]).to match([include("text" => "16 May 2027", "because" => /after today/)])
    expect(vehicle["log"].map { |entry| entry["date"] }).to eq(%w[2027-05-16 2026-05-10 2026-03-01])
    expect(vehicle["axles"].first["corners"].first["pads"].first["now_mm"]).to be_within(0.3).of(6.5)
    wrong = vehicle["unusable"].first["inspection"]
    ask(
      :post,
      "/inspections/#{wrong}/corrections",
      { date: "2026-04-01", odometer: { value: "60100", unit: "km" }, reason: "The clock was wrong" }
    )
    expect(ask(:get, "/vehicles/#{car["id"]}")["unusable"]).to eq([])
  end
end
