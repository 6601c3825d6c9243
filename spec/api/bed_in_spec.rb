# frozen_string_literal: true

require_relative "../support/planned_job"

RSpec.describe "The bed-in coach in the API" do
  include PlannedJob

  let(:front_data) do
    {
      "caliper.kind": "floating_slide_pins",
      "rotor.retention": "nothing",
      "rotor.new_thickness": %w[25 mm],
      "rotor.diameter": %w[288 mm],
      "rotor.kind": "vented"
    }
  end
  let(:front) { axle(:front, front_data) }

  def coach(**asked) = ask(:get, "/jobs/#{job_id}/bed-in?#{URI.encode_www_form(asked)}")

  before { planned(front, "pads") }

  it "follows the approach: a hard series warms more than light stops" do
    approach(bed_in: "series")
    hard = coach
    expect(hard["series"]).to eq("stops" => 10, "from_kmh" => 100, "to_kmh" => 30, "rest_seconds" => 30)
    peaks = hard["axles"].first["stops"].map { |stop| stop["peak"] }
    expect(peaks).to eq(peaks.sort).and(satisfy { |all| all.length == 10 })
    approach(bed_in: "light")
    expect(coach["axles"].first).to include("verdict" => "cold", "sentence" => /hardly warms/)
    approach(bed_in: "drive")
    expect(coach).to include("series" => nil, "axles" => [])
  end

  it "warns when a series is too much for the rotors, and names its assumptions" do
    approach(bed_in: "series")
    expect(coach["axles"].first).to include("rotor_kg" => be_within(0.3).of(7.2), "estimated" => false)
    expect(coach(mass_kg: "3500")["axles"].first).to include("verdict" => "hot", "sentence" => /too hot/)
    expect(coach["assumed"]).to eq(
      "mass_kg" => 1500,
      "front_share_percent" => 70,
      "ambient_celsius" => 15,
      "cooling_minutes" => 5
    )
    expect(fields(coach(mass_kg: "1", cooling_minutes: "soon"))).to eq(
      "mass_kg" => "out_of_range",
      "cooling_minutes" => "not_a_number"
    )
  end

  # By hand: the same rotors, 70 % of the braking in front: 30/70 of the heat behind.
  it "gives each axle its own share of the heat" do
    same = front_data
    both = vehicle("car", front: same, rear: same)
    planned(both[:front], "pads", both[:rear].to_s => ["pads"])
    approach(bed_in: "series")
    first, last = coach["axles"].sort_by { |each| each["axle"] }.map { |each| each["stops"].first["peak"] - 15.0 }
    expect(last / first).to be_within(0.02).of(3 / 7.0)
  end
end
