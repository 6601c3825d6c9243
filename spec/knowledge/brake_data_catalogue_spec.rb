# frozen_string_literal: true

require_relative "../support/plan_builders"

RSpec.describe Graver::Knowledge::BrakeDataCatalogue do
  include PlanBuilders

  subject(:catalogue) { KNOWLEDGE.brake_data }

  def refused(key, value, unit, source: "manual", kind: "car")
    catalogue.check(key, value, unit, source, kind)
    nil
  rescue Graver::InvalidEntry => e
    e.faults.map { |fault| [fault.field, fault.code] }.flatten
  end

  def applying(kind, axle, known) = catalogue.applying(catalogue.place(kind, axle) { |field| known[field] })

  it "accepts lengths and torques on their bounds and rejects them just outside" do
    catalogue
      .fields
      .select { |field| %w[length torque volume angle].include?(field["quantity"]) }
      .each do |field|
        unit = catalogue.units(field).first
        inside = [field["least"], field["most"]].map { |value| refused(field["key"], value.to_s, unit) }
        outside =
          [(field["least"] - 0.001).round(4), (field["most"] + 0.001).round(4)].map do |value|
            refused(field["key"], value.to_s, unit)
          end
        expect(inside + outside).to eq([nil, nil, %w[value out_of_range], %w[value out_of_range]]), field["key"]
      end
  end

  it "converts units on entry" do
    # NIST SP 811 B.8 (from memory): exact inch; 1 lbf·ft = 1.355 818 N·m
    expect(catalogue.check("rotor.discard_thickness", "0.173", "in", "cast", "motorcycle")).to be_within(1e-9).of(
      4.3942
    )
    expect(catalogue.check("slide_pin_bolt.torque", "20", "lbf·ft", "manual", "car")).to be_within(1e-4).of(27.1164)
    expect(catalogue.check("wheel_nut.count", "5", nil, "measured", "car")).to eq(5)
  end

  it "rejects another vehicle kind's choice, an unknown source and a wrong unit" do
    expect(refused("caliper.kind", "motorcycle_fixed", nil)).to eq(%w[value unknown_choice])
    expect(refused("caliper.kind", "motorcycle_fixed", nil, kind: "motorcycle")).to be_nil
    expect(refused("pad.new_thickness", "11", "mm", source: "hearsay")).to eq(%w[source unknown_source])
    expect(refused("slide_pin_bolt.torque", "28", "mm")).to eq(%w[unit unknown_unit])
    expect(refused("wheel_nut.count", "0", nil)).to eq(%w[value out_of_range])
  end

  it "asks only for what exists on an axle" do
    keys =
      lambda do |kind, axle, caliper|
        applying(kind, axle, { "caliper.kind" => caliper, "rotor.retention" => "screws" }).map { |field| field["key"] }
      end
    expect(keys.call("car", "front", "floating_slide_pins")).to include(
      "slide_pin_bolt.torque",
      "wheel_nut.torque"
    ).and(satisfy { |all| !all.include?("parking_brake.kind") })
    expect(keys.call("car", "rear", nil)).to include("parking_brake.kind").and(
      satisfy { |all| all.grep(/slide_pin|guide_bolt|pad_pin/).empty? }
    )
    expect(keys.call("motorcycle", "rear", "motorcycle_fixed")).to include("pad_pin.torque").and(
      satisfy { |all| all.grep(/wheel_nut|wear_sensor|parking/).empty? }
    )
  end

  it "asks for up to eight own fasteners, one after the other" do
    keys = ->(known) { applying("car", "front", known).map { |field| field["key"] }.grep(/\Aown_\d\.(name|torque)/) }
    expect(keys.call({})).to eq(["own_1.name"])
    named = (1..3).to_h { |number| ["own_#{number}.name", "Bolt #{number}"] }
    expect(keys.call(named)).to match_array(
      %w[1 2 3].flat_map { |at| ["own_#{at}.name", "own_#{at}.torque"] } << "own_4.name"
    )
    expect(KNOWLEDGE.fasteners.map(&:id).grep(/own/).length).to eq(8)
  end

  it "asks for torque and drive of every fastener a caliper's jobs tighten" do
    KNOWLEDGE
      .calipers
      .reject { |caliper| caliper.drawn.include?("drum") }
      .product(%w[screws captive ring bolts])
      .each do |caliper, retention|
        vehicle = caliper["vehicles"].first
        next if vehicle == "motorcycle" && retention != "bolts"

        setup =
          setup("front", %w[pads rotors_new hose], vehicles: vehicle, calipers: caliper["id"], retentions: retention)
        tightened = sequence.call(lifts(setup)).flat_map { |placed| placed.step.tighten }.uniq
        keys =
          applying(
            vehicle,
            "front",
            { "caliper.kind" => caliper["id"], "rotor.retention" => retention, "hose.fitting" => "banjo" }
          ).map { |field| field["key"] }
        expect(keys).to include(*tightened.flat_map { |id| ["#{id}.torque", "#{id}.drive"] }),
        "#{caliper["id"]} #{retention}"
      end
  end

  # Values met in the trade (common practice, no source): none may be questioned; the same figures in another unit
  # must be.
  it "questions unit mix-ups but not real values" do
    met = {
      "slide_pin_bolt" => [[27, "N·m"], [28, "N·m"], [30, "N·m"], [35, "N·m"], [20, "lbf·ft"], [37, "lbf·ft"]],
      "wheel_nut" => [
        [100, "N·m"],
        [120, "N·m"],
        [140, "N·m"],
        [75, "lbf·ft"],
        [80, "lbf·ft"],
        [94, "lbf·ft"],
        [95, "lbf·ft"],
        [120, "lbf·ft"]
      ]
    }
    met.each do |id, values|
      range = KNOWLEDGE.fastener(id).plausible_newton_metres
      flags = values.map { |value, unit| Graver::Core::Planning::Torque.parse(value.to_s, unit).doubt(*range) }
      expect(flags).to all(be_nil), id
    end
    inch_pounds = Graver::Core::Planning::Torque.parse("240", "lbf·ft")
    expect(inch_pounds.doubt(20, 55)).to eq("lbf·in")
  end
end
