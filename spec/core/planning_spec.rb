# frozen_string_literal: true

require "prop_check"
require "graver/core/planning/displaced_fluid"
require "graver/core/planning/star_order"
require "graver/core/planning/torque"

RSpec.describe "Planning" do
  describe Graver::Core::Planning::Torque do
    def torque(text, unit) = described_class.from(Graver::Core::Quantity::EnteredNumber.parse(text), unit)

    it "shows three figures, and the entered value as it was entered" do
      # NIST SP 811 B.8 (from memory): 28 N·m / 1.355 818 = 20.65 lbf·ft
      expect(torque("28", "N·m").in_unit("lbf·ft")).to eq(20.7)
      expect(torque("133", "lbf·ft").in_unit("N·m")).to eq(180.0)
      expect(torque("101.25", "lbf·ft").in_unit("lbf·ft")).to eq(101.25)
    end

    # common practice, no source: slide pin bolts 20 to 55 N·m; the figures are those met in the trade
    it "questions a value that fits another unit or another decimal place" do
      expect(torque("28", "N·m").doubt(20, 55)).to be_nil
      expect(torque("216", "N·m").doubt(20, 55)).to eq("lbf·in")
      expect(torque("28", "lbf·in").doubt(20, 55)).to eq("N·m")
      expect(torque("3.5", "N·m").doubt(30, 40)).to eq("ten_times")
      expect(torque("2000", "N·m").doubt(20, 55)).to eq("unknown")
    end
  end

  # Star patterns for 4, 5, 6 and 8 nuts: common practice, no source.
  it "tightens wheel nuts across the wheel" do
    known = { 4 => [1, 3, 2, 4], 5 => [1, 3, 5, 2, 4], 6 => [1, 4, 2, 5, 3, 6], 8 => [1, 5, 3, 7, 2, 6, 4, 8] }
    expect(known.keys.to_h { |count| [count, Graver::Core::Planning::StarOrder.call(count)] }).to eq(known)
    (4..10).each do |count|
      order = Graver::Core::Planning::StarOrder.call(count)
      expect(order.sort).to eq((1..count).to_a)
      pairs = count.even? ? order.each_slice(2) : order.each_cons(2)
      expect(pairs.map { |one, other| [(one - other).abs, count - (one - other).abs].min }).to all(be >= [count / 2, 2].max)
    end
  end

  # Geometry: a cylinder of 57 mm bore moving 10 mm displaces pi/4 x 57^2 x 10 = 25.5 ml.
  it "works out the fluid that comes back" do
    floating = Graver::Core::Planning::DisplacedFluid.call(gains: [[6, 4], [6, 4]], piston_diameter_mm: 57, pistons: 1, opposed: false)
    fixed = Graver::Core::Planning::DisplacedFluid.call(gains: [[6, 4], [6, 4]], piston_diameter_mm: 40, pistons: 4, opposed: true)
    expect(floating).to be_within(0.1).of(2 * 25.52)
    expect(fixed).to be_within(0.1).of(2 * 2 * (Math::PI / 4 * 1.6) * (6 + 4))
  end

  describe Graver::Core::Planning::Sequence do
    subject(:sequence) { described_class.new(KNOWLEDGE.procedure) }

    let(:generators) { PropCheck::Generators }

    def configuration(vehicles, axles, calipers, parking, sensors)
      { "vehicles" => vehicles, "axles" => axles, "calipers" => calipers, "parking_brakes" => parking, "sensors" => sensors }
    end

    def any(values) = PropCheck::Generators.one_of(*values.map { |value| PropCheck::Generators.constant(value) })

    # Laws of the trade: common practice, no source.
    it "never puts a step before what it needs, in any configuration" do
      kinds = KNOWLEDGE.calipers.flat_map { |caliper| caliper["vehicles"].map { |vehicle| [vehicle, caliper["id"]] } }
      PropCheck.forall(any(kinds), any(%w[front rear]), any(%w[none cable electric drum_in_hat]), any([[], ["left"], %w[left right]])) do |(vehicle, caliper), axle, parking, sensors|
        placed = sequence.call(configuration(vehicle, axle, caliper, parking, sensors), %w[left right])
        placed.each_with_index do |each, at|
          first = each.step.needs.flat_map { |need| placed.each_index.select { |index| placed[index].step.id == need && [nil, each.side].include?(placed[index].side) } }
          # what follows the other side is asked of both sides, what stands between only of the first
          first.reject! { |index| each.step.stage == "between" && placed[index].side == "right" }
          expect(first).to all(be < at), "#{each.step.id} in #{vehicle}, #{caliper}"
        end
      end
    end

    it "ends in a hard pedal before the road, on both sides, whatever is fitted" do
      ids = sequence.call(configuration("car", "rear", "floating_slide_pins", "electric", []), %w[left right]).map { |placed| [placed.side, placed.step.id] }
      order = [[nil, "shake"], [nil, "service_mode"], ["left", "hook"], ["left", "pin_bolts_out"], ["left", "piston_home"], ["left", "pin_bolts_in"],
               [nil, "level_between"], ["right", "wheel_off"], ["right", "corner_check"], [nil, "pump"], [nil, "motor_closed"], [nil, "star"], [nil, "first_stops"]]
      places = order.map { |step| ids.index(step) || raise("#{step} is missing") }
      expect(places).to eq(places.sort)
      expect(ids.map(&:last)).not_to include("piston_wound", "pad_pins_out", "park_front")
    end

    it "never forces a screw piston or a bike onto a jack" do
      cable = sequence.call(configuration("car", "rear", "floating_slide_pins", "cable", []), %w[left right]).map { |placed| placed.step.id }
      bike = sequence.call(configuration("motorcycle", "front", "motorcycle_fixed", "none", []), ["left"]).map { |placed| placed.step.id }
      expect(cable).to include("piston_wound", "cable_set").and(satisfy { |ids| !ids.intersect?(%w[piston_home push_a_little]) })
      expect(bike).to include("stand_bike", "bike_caliper_off").and(satisfy { |ids| !ids.intersect?(%w[lift wheel_off star]) })
    end
  end
end
