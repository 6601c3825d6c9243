# frozen_string_literal: true

require_relative "../support/job_helper"

RSpec.describe "Brakes in three dimensions in the API" do
  include JobHelper

  def part(corner, id) = corner["parts"].find { |each| each["id"] == id }
  def step(drawing, key) = drawing["steps"].find { |each| each["key"] == key }
  def friction_mm(corner, pad)
    solid = part(corner, "#{pad}_pad")["solids"].find { |each| each["stuff"] == "friction" }
    (solid["to"] - solid["from"]).round(1)
  end

  it "draws a corner by its brake data and newest readings" do
    complete
    know(front, %w[rotor.diameter 300 mm], ["wheel_nut.count", "4", nil])
    ask(:post, inspections, inspection("2026-05-10", "60000", pad("4.2"), pad("8.1", pad: "outer")))
    corner = ask(:get, "/axles/#{front}/drawing?side=left")
    expect(%w[inner outer].map { |pad| friction_mm(corner, pad) }).to eq([4.2, 8.1])
    expect(part(corner, "rotor")["solids"].first["outline"].max).to be_within(1).of(150)
    expect(part(corner, "wheel_nut")["solids"].length).to eq(4)
    expect(friction_mm(ask(:get, "/axles/#{front}/drawing?side=right"), "inner")).not_to eq(4.2)
  end

  # common practice, no source: a mark is on the face it was seen on
  it "draws the grooves and the lip that were seen, on their face, until the rotor is renewed" do
    complete
    bare = part(ask(:get, "/axles/#{front}/drawing"), "rotor")["solids"].length
    mark = { item: "rotor_face", axle: front, side: "left", face: "inner" }
    given = [{ **mark, mark: "grooved_deep" }, { **mark, mark: "lipped" }]
    ask(:post, inspections, inspection("2026-05-10", "60000", pad("4.2"), conditions: given))
    seen = part(ask(:get, "/axles/#{front}/drawing"), "rotor")["solids"].drop(bare)
    expect(seen.map { |solid| solid["to"] }.uniq).to eq([-11.5])
    expect(seen.map { |solid| solid["stuff"] }.tally).to eq({ "groove" => 6, nil => 1 })
    expect(part(ask(:get, "/axles/#{front}/drawing?side=right"), "rotor")["solids"].length).to eq(bare)
  end

  it "marks what is drawn from values nobody has entered, and draws a brake of unknown kind all the same" do
    bare = ask(:get, "/axles/#{front}/drawing")
    expect(part(bare, "caliper")).to include("known" => false, "fields" => ["caliper.kind"])
    know(front, ["caliper.kind", "fixed_opposed", nil])
    known = ask(:get, "/axles/#{front}/drawing")
    expect(part(known, "caliper")).to include("known" => true)
    bolt = { "known" => false, "fields" => %w[fixed_caliper_bolt.torque fixed_caliper_bolt.drive] }
    expect(part(known, "fixed_caliper_bolt")).to include(bolt)
  end

  it "says of each step what it is about, what is off and what it moves" do
    complete
    drawing = ask(:get, address("/drawing"))
    out = step(drawing, "front.left.pin_bolts_out")
    expect(out).to include(
      "corner" => "front.left",
      "of" => %w[caliper slide_pin_bolt],
      "out" => %w[caliper slide_pin_bolt],
      "in" => []
    )
    expect(step(drawing, "front.left.pads_out")["off"]).to include("caliper", "slide_pin_bolt")
    back = step(drawing, "front.left.pads_in")
    expect(back).to include("corner" => "front.left.new", "in" => %w[inner_pad outer_pad])
    expect(back["hidden"]).to include("wheel")
    expect(step(drawing, "front.star")).to include("of" => ["wheel_nut"], "hidden" => ["hook"])
    new = drawing["corners"].find { |each| each["key"] == "front.left.new" }
    expect(friction_mm(new, "inner")).to eq(KNOWLEDGE.new_part("pad").fetch("typical_mm"))
  end

  it "says what is on file of a part, and nothing was read of a new one" do
    complete
    ask(:post, inspections, inspection("2026-05-10", "60000", pad("4.2")))
    ask(:post, inspections, inspection("2026-05-12", "60100", pad("4.1")))
    said = part(ask(:get, "/axles/#{front}/drawing"), "inner_pad")["data"]
    expect(said).to include("label" => "Last reading", "value" => "4.1 mm on 12 May 2026")
    corners = ask(:get, address("/drawing"))["corners"].to_h { |corner| [corner["key"], corner] }
    expect(part(corners["front.left.new"], "inner_pad")["data"].map { |each| each["label"] }).not_to include(
      "Last reading"
    )
    know(front, %w[bracket_bolt.torque 80 lbf·ft])
    bolt = part(ask(:get, "/axles/#{front}/drawing"), "bracket_bolt")["data"]
    expect(bolt).to include({ "label" => "Torque", "value" => "80 lbf·ft" })
  end

  it "draws a job that is only proposed, step by step" do
    complete
    drawn = ask(:get, "/axles/#{front}/job-plan/drawing")["steps"].map { |each| each["key"] }
    planned = ask(:get, "/axles/#{front}/job-plan")["steps"].map { |each| each["key"] }
    expect(drawn).to include("front.left.wheel_off", "front.right.judge")
    expect(drawn - planned).to eq([])
  end

  it "draws a usual brake of every kind" do
    drawn = KNOWLEDGE.calipers.map { |caliper| ask(:get, "/drawings/#{caliper.id}")["parts"].length }
    expect(drawn.min).to be > 12
    ask(:get, "/drawings/wheelbarrow")
    expect(status).to eq(404)
  end
end
