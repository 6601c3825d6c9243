# frozen_string_literal: true

require_relative "../support/api_helper"
require "graver/service/job_card"

RSpec.describe Graver::Service::JobCard do
  include ApiHelper

  def card(axle_id) = described_class.new(context).call(Graver::Service::AxleFiles.new(context).find(axle_id))

  # What is common to every pad job, whatever the caliper: common practice, no source.
  it "is whole for every caliper kind once its data are filled in" do
    KNOWLEDGE.calipers.each do |caliper|
      vehicle = ask(:post, "/vehicles", { name: caliper["id"], kind: caliper["vehicles"].first })
      vehicle["axles"].each do |axle|
        know(axle["id"], ["caliper.kind", caliper["id"], nil])
        missing = card(axle["id"]).missing
        fill = missing.map { |field| [field["key"], value(field), KNOWLEDGE.brake_data.units(field).first] }
        know(axle["id"], *fill) unless fill.empty?
        whole = card(axle["id"])
        expect(whole.missing).to be_empty
        expect(whole.torque.map(&:torque)).to all(be_a(Graver::Core::Planning::Torque))
        expect(whole.steps.map { |placed| placed.step.id }).to include("judge", "read_rotor", "clean_gloves", "pads_in", "corner_check", "pump", "first_stops")
        expect(whole.parts.map(&:id)).to include("pads")
      end
    end
  end

  def value(field)
    return KNOWLEDGE.brake_data.choices(field, nil).keys.first if field["quantity"] == "choice"

    field["quantity"] == "torque" ? "30" : "22"
  end

  it "gives no order to a rear axle whose parking brake nobody knows" do
    rear = car["axles"].last["id"]
    know(rear, ["caliper.kind", "floating_slide_pins", nil])
    expect(card(rear)).to have_attributes(steps: nil, torque: [])
    expect(card(rear).missing.map { |field| field["key"] }).to include("parking_brake.kind")
    know(rear, ["parking_brake.kind", "electric", nil])
    expect(card(rear).steps.map { |placed| placed.step.id }).to include("service_mode", "motor_closed")
    expect(card(rear).tools).to include(/Scan tool/)
  end

  it "counts for the sides there are" do
    bike = ask(:post, "/vehicles", { name: "Wren", kind: "motorcycle", discs: { front: 1 } })["axles"].first["id"]
    know(bike, ["caliper.kind", "motorcycle_floating", nil], ["caliper_mount_bolt.torque", "30", "N·m"], ["caliper_mount_bolt.single_use", "once", nil])
    expect(card(bike).torque.to_h { |line| [line.fastener, line.count] }).to eq("caliper_mount_bolt" => 2, "pad_pin" => 1)
    expect(card(bike).parts.map { |part| [part.label, part.count] }).to include(["Set of pads for the whole axle (2 pads)", 1])
    expect(card(bike).parts.map { |part| [part.id, part.count] }).to include(["single_use", 2], ["pad_pins", 1])
  end

  # Geometry: pi/4 x 57^2 mm2 = 25.5 cm2; pads 11 mm new, 6 mm left: 10 mm a corner, both corners: 51 ml.
  it "says how much fluid comes back once it knows the piston" do
    know(front, ["caliper.kind", "floating_slide_pins", nil], ["pad.new_thickness", "11", "mm"])
    readings = %w[left right].product(%w[inner outer]).map { |side, position| pad("6.0", side:, pad: position) }
    ask(:post, look_overs, look_over(ApiHelper::TODAY, "60000", *readings))
    expect(card(front).fluid_ml).to be_nil
    know(front, ["caliper.piston_count", "1", nil], ["caliper.piston_diameter", "57", "mm"])
    expect(card(front).fluid_ml).to be_within(2).of(51)
  end
end
