# frozen_string_literal: true

require "prop_check"

RSpec.describe Graver::Core::Planning::WrenchChoice do
  subject(:choice) { described_class.new(KNOWLEDGE.wrench_rules) }

  let(:today) { Date.new(2026, 5, 16) }

  def wrench(id, least, most, graduation, unit: "N·m", length_mm: nil, calibrated_on: Date.new(2026, 1, 10))
    Graver::Core::Planning::Wrench.new(
      id:,
      name: "Wrench #{id}",
      unit:,
      least: least.to_f,
      most: most.to_f,
      graduation: graduation.to_f,
      length_mm:,
      calibrated_on:
    )
  end

  # common practice, no source: a click wrench is trusted from a fifth of its scale on
  it "uses only the trusted part of a wrench's scale, and names what to borrow" do
    large = wrench(1, 10, 200, 1)
    expect(choice.call(100, [large], today).wrench).to eq(large)
    expect(choice.call(28, [large], today)).to have_attributes(range: [10, 50], near: large)
    expect(choice.call(28, [], today)).to have_attributes(range: [10, 50], near: nil)
    expect(choice.call(5000, [large], today)).to have_attributes(range: nil, near: nil)
  end

  # Reference: ISO 6789, permissible deviation 6 % up to 10 N·m and 4 % above (from memory).
  it "returns where the torque lands, by the wrench's class" do
    expect(choice.call(28, [wrench(1, 5, 50, 0.5)], today)).to have_attributes(
      tolerance_share: 0.04,
      low: be_within(1e-9).of(26.88),
      high: be_within(1e-9).of(29.12)
    )
    expect(choice.call(8, [wrench(1, 1, 10, 0.1)], today).tolerance_share).to eq(0.06)
  end

  # Reference: NIST SP 811, appendix B.8: 1 lbf·ft = 1.355818 N·m (from memory).
  it "rounds the setting to the wrench's unit and graduation" do
    found = choice.call(100, [wrench(1, 10, 150, 5, unit: "lbf·ft")], today)
    # 100 N·m = 73.756 lbf·ft; the scale has 75
    expect(found).to have_attributes(
      setting: 75.0,
      reached: be_within(1e-3).of(101.686),
      off_share: be_within(1e-4).of(0.01686)
    )
    # the finer scale is chosen
    expect(choice.call(100, [wrench(1, 10, 150, 5, unit: "lbf·ft"), wrench(2, 20, 200, 1)], today).wrench.id).to eq(2)
  end

  # The lever rule T_set = T x L / (L + E); worked example: 100 N·m, L 400 mm, E 50 mm: 88.89 N·m.
  it "corrects for a crow-foot, and needs the wrench's length" do
    fine = wrench(1, 10, 200, 0.01, length_mm: 400.0)
    expect(choice.call(100, [fine], today, extension_mm: 50.0)).to have_attributes(
      setting: be_within(0.006).of(88.89),
      reached: be_within(0.01).of(100)
    )
    expect(choice.call(100, [wrench(1, 10, 200, 1)], today, extension_mm: 50.0)).to be_a(described_class::Borrow)
  end

  it "reports a due calibration and prefers a calibrated wrench" do
    old, never, good =
      wrench(1, 10, 100, 1, calibrated_on: Date.new(2025, 5, 15)),
      wrench(2, 10, 100, 1, calibrated_on: nil),
      wrench(3, 10, 100, 5)
    expect([old, never, good].map { |each| choice.call(50, [each], today).overdue }).to eq([true, true, false])
    expect(choice.call(51, [old, never, good], today).wrench).to eq(good)
  end

  # Laws that hold whatever is owned: the setting is on the scale and in its trusted part, the graduation costs at most
  # half a step at the handle, the best of several is never worse than one of them.
  it "stays on the scale, within half a graduation" do
    generators = PropCheck::Generators
    wrenches = [
      wrench(1, 5, 50, 0.5, length_mm: 280),
      wrench(2, 10, 150, 5, unit: "lbf·ft", length_mm: 400),
      wrench(3, 40, 200, 1, length_mm: 460),
      wrench(4, 10, 220, 2, unit: "lbf·in", length_mm: 200)
    ]
    PropCheck.forall(generators.choose(2..250), generators.choose(0..120)) do |target, extension|
      found = choice.call(target.to_f, wrenches, today, extension_mm: extension.to_f)
      next unless found.is_a?(described_class::Setting)

      own = found.wrench
      arm = own.length_mm / (own.length_mm + extension.to_f)
      exact = Graver::Core::Quantity::TORQUE.from_base(target * arm, own.unit)
      expect(found.setting).to be_between([own.least, own.most * 0.2].max, own.most)
      expect((found.setting - exact).abs).to be <= (own.graduation / 2) + 1e-9
      expect((found.setting % own.graduation).round(6)).to eq(0).or eq(own.graduation)
      alone =
        wrenches
          .filter_map { |each| choice.call(target.to_f, [each], today, extension_mm: extension.to_f) }
          .grep(described_class::Setting)
      worst = ->(setting) { [setting.low, setting.high].map { |end_| (end_ - target).abs }.max }
      expect(worst.call(found)).to be <= alone.map(&worst).min + 1e-6
    end
  end
end
