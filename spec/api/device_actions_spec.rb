# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Diagnostic units in the API" do
  include ApiHelper

  def act(vehicle, action = "brake_open") = ask(:post, "/devices/diagnostic/actions", { vehicle:, action: })

  it "moves nothing on a vehicle of the owner's, as its motors are made up" do
    refused = act(car["id"])
    expect([status, refused["error"]["message"]]).to eq(
      [503, "A simulated unit moves nothing on your vehicle: use your own, or the maker's way."]
    )
  end

  it "says how long it takes on a sample, and what it cannot do" do
    sample =
      Graver::Service::Household::AddVehicle.new(context).call(
        { name: "Sample", kind: "car", distance_unit: "km", discs: {} },
        sample: true
      )
    expect(act(sample.id)).to include("action" => "brake_open", "seconds" => be_between(30, 40), "simulated" => true)
    expect(fields(act(sample.id, "fly"))).to have_key("action")
    ask(:post, "/devices/wrench/actions", { vehicle: sample.id, action: "brake_open" })
    expect(status).to eq(503)
    act(9999)
    expect(status).to eq(404)
    expect(ask(:get, "/devices")["devices"].find { |each| each["id"] == "diagnostic" }["actions"]).to include(
      "pump_bleed"
    )
  end
end
