# frozen_string_literal: true

RSpec.describe "Planning" do
  describe Graver::Core::Planning::Torque do
    def torque(text, unit) = described_class.parse(text, unit)

    it "rounds to three figures and keeps the entered value" do
      # NIST SP 811 B.8 (from memory): 28 N·m / 1.355 818 = 20.65 lbf·ft
      expect(torque("28", "N·m").in_unit("lbf·ft")).to eq(20.7)
      expect(torque("133", "lbf·ft").in_unit("N·m")).to eq(180.0)
      expect(torque("101.25", "lbf·ft").in_unit("lbf·ft")).to eq(101.25)
    end

    # common practice, no source: wheel torques are given as ranges; the middle of 125 to 150 is 137.5
    it "keeps a range and aims at its middle" do
      ["125-150", "125 to 150", "125 – 150"].each do |text|
        expect(torque(text, "N·m")).to have_attributes(
          entered: 137.5,
          low: 125.0,
          high: 150.0,
          newton_metres: 137.5,
          said: "125 to 150 N·m"
        )
      end
      expect(torque("28", "N·m")).to have_attributes(low: nil, said: "28 N·m")
      %w[150-125 125-125 1-2-3 to].each do |text|
        expect { torque(text, "N·m") }.to raise_error(Graver::InvalidEntry), text
      end
    end

    # 200 and 210 N·m for one nut, and 18-20 lbf·ft written as 215 lbf·in: facts of the trade, no source
    it "tells sources apart by a share of the smaller, never a value within the other's range" do
      apart = ->(value, unit, other, other_unit) { torque(value, unit).differs?(torque(other, other_unit), 0.05) }
      expect([apart["200", "N·m", "209.9", "N·m"], apart["200", "N·m", "210", "N·m"]]).to eq([false, true])
      expect(apart["18-20", "lbf·ft", "215", "lbf·in"]).to be(false)
      expect(apart["240", "lbf·in", "18-20", "lbf·ft"]).to be(false)
      expect(apart["18-20", "lbf·ft", "30", "N·m"]).to be(true)
      expect(torque("88.5", "lbf·ft").differs?(torque("120", "N·m"), 0.05)).to be(false)
    end

    # common practice, no source: slide pin bolts 20 to 55 N·m; the figures are those met in the trade
    it "questions a value that fits another unit or another decimal place" do
      expect(torque("28", "N·m").doubt(20, 55)).to be_nil
      expect(torque("300", "N·m").doubt(20, 55)).to eq("lbf·in")
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
      expect(pairs.map { |one, other| [(one - other).abs, count - (one - other).abs].min }).to all(
        be >= [count / 2, 2].max
      )
    end
  end

  # Geometry: a cylinder of 57 mm bore moving 10 mm displaces pi/4 x 57^2 x 10 = 25.5 ml.
  it "calculates the fluid pushed back" do
    floating =
      Graver::Core::Planning::DisplacedFluid.call(
        gains: [[6, 4], [6, 4]],
        piston_diameter_mm: 57,
        pistons: 1,
        opposed: false
      )
    fixed =
      Graver::Core::Planning::DisplacedFluid.call(
        gains: [[6, 4], [6, 4]],
        piston_diameter_mm: 40,
        pistons: 4,
        opposed: true
      )
    expect(floating).to be_within(0.1).of(2 * 25.52)
    expect(fixed).to be_within(0.1).of(2 * 2 * (Math::PI / 4 * 1.6) * (6 + 4))
  end
end
