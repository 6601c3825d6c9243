# frozen_string_literal: true

require_relative "../support/api_helper"

RSpec.describe "Brake data in the API" do
  include ApiHelper

  def rear = car.fetch("axles").last.fetch("id")

  describe "brake data" do
    it "proposes typical values, never a torque, and copies only what may be copied" do
      other = ask(:post, "/vehicles", { name: "Twin", kind: "car" })["axles"].first["id"]
      know(
        other,
        ["caliper.kind", "floating_slide_pins", nil],
        %w[pad.new_thickness 11 mm],
        %w[slide_pin_bolt.torque 28 N·m],
        %w[wheel_nut.torque 110 N·m]
      )
      expect(fields(ask(:get, "/axles/#{front}/brake-data/proposals?from=template"))).to eq("from" => "no_caliper_kind")
      copied = ask(:get, "/axles/#{front}/brake-data/proposals?from=#{other}")
      expect(copied["entries"].map { |entry| [entry["key"], entry["source"]] }).to contain_exactly(
        %w[caliper.kind copied],
        %w[pad.new_thickness copied]
      )
      expect(copied["left_out"]).to contain_exactly("Slide pin bolts: torque", "Lug nuts: torque")
      know(front, ["caliper.kind", "floating_slide_pins", nil])
      usual = ask(:get, "/axles/#{front}/brake-data/proposals?from=template")["entries"]
      expect(usual.map { |entry| entry["key"] }).to include("caliper.piston_count").and(
        satisfy { |keys| keys.grep(/torque/).empty? }
      )
      expect(fields(ask(:get, "/axles/#{front}/brake-data/proposals?from=#{front}"))).to eq("from" => "same_axle")
    end

    it "keeps vehicle-wide values once, and tells “can't be found” from “not asked”" do
      know(rear, ["fluid.grade", "dot_4", nil])
      field = ->(axle, key) { ask(:get, "/axles/#{axle}/brake-data")["fields"].find { |each| each["key"] == key } }
      expect(field[front, "fluid.grade"]["value"]).to eq("dot_4")
      ask(
        :post,
        "/axles/#{front}/brake-data",
        { entries: [{ key: "rotor.discard_thickness", value: nil, source: "unknown" }] }
      )
      expect(field[front, "rotor.discard_thickness"]).to include("value" => nil, "looked_for" => true)
      expect(field[front, "rotor.diameter"]).to include("looked_for" => false)
      needs =
        ask(:get, "/axles/#{front}/brake-data")["needs"].to_h { |need| [need["id"], need.values_at("known", "of")] }
      expect(needs["fluid"]).to eq([1, 4])
      expect(fields(know(front, %w[rotor.machine_to_thickness 23 mm], %w[rotor.discard_thickness 23.4 mm]))).to eq(
        "entries.0.value" => "order"
      )
    end
  end
end
