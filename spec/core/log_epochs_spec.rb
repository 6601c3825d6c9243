# frozen_string_literal: true

RSpec.describe Graver::Core::Wear::LogEpochs do
  include WearBuilders

  def moments(...) = described_class.call(history(...))

  it "puts fits and readings in the order of the odometer, those of one place together" do
    set = { "left_inner" => fitted(read(20_000, 8.0), read(10_000, 9.5)), "right_inner" => fitted(read(20_000, 8.1)) }
    found = moments(set, as_of_km: 30_000)
    expect(found.map(&:km)).to eq([0.0, 10_000, 20_000])
    expect(found.map { |moment| moment.readings.map(&:first) }).to eq([[], ["left_inner"], %w[left_inner right_inner]])
    expect(found.first.fits.keys).to eq(%w[left_inner right_inner])
  end

  it "keeps the old pads' last reading apart from the new ones put on at the same place" do
    old = { "left_inner" => fitted(read(20_000, 3.1)) }
    fresh = { "left_inner" => fitted(read(20_000, 11.0), at: 20_000.0) }
    found = moments(fresh, as_of_km: 20_000, earlier: [old])
    expect(
      found.map { |moment| [moment.km, moment.fits.length, moment.readings.map { |_, seen| seen.thickness.value_mm }] }
    ).to eq([[0.0, 1, []], [20_000, 0, [3.1]], [20_000, 1, [11.0]]])
  end

  it "begins an unknown fitting at its first reading, somewhere between new and the limit" do
    unknown =
      Graver::Core::Wear::Fitting.new(
        fitted_km: nil,
        new: WearBuilders::Thickness.point(11.0, 1.2),
        observations: [read(7000, 6.0)]
      )
    expect(moments({ "a" => unknown }, as_of_km: 8000).first.fits["a"]).to have_attributes(
      value_mm: 7.0,
      standard_uncertainty_mm: 8.0
    )
    expect(moments({ "a" => unknown.with(observations: []) }, as_of_km: 8000)).to be_empty
  end

  it "records a freed corner at its place" do
    found =
      moments(
        { "left_inner" => fitted(read(10_000, 9.0)) },
        as_of_km: 12_000,
        freed: [[10_000.0, %w[left_inner left_outer]]]
      )
    expect(found.last).to have_attributes(km: 10_000.0, freed: %w[left_inner left_outer])
  end

  describe Graver::Core::Wear::RemainingLife do
    it "reads equally likely ends, those already passed as zero" do
      life = described_class.of(Numo::DFloat[0, 0, 1000, 2000, 3000, 4000, 5000, 6000, 7000, 8000])
      expect([life.chance_now, life.quantile(0.1), life.distances_km.first]).to match(
        [be_within(1e-9).of(0.2), 0.0, 0.0]
      )
      expect(life.quantile(0.5)).to be_within(1).of(3500)
      expect(life.chance_passed(9000)).to eq(1.0)
      expect(life.mapped { |km| km * 2 }.quantile(0.5)).to be_within(2).of(7000)
    end
  end
end
