# frozen_string_literal: true

# Rates by hand: mm worn over the way from new to the last reading.
RSpec.describe Graver::Core::Wear::SetStory do
  include WearBuilders

  # read_mm: { km => mm }
  def fitting(read_mm, fitted_km: 50_000.0) = fitted(*read_mm.map { |km, mm| read(km.to_f, mm) }, at: fitted_km)

  def story(set, next_km = nil)
    following = next_km ? [{ "left_inner" => fitting({}, fitted_km: next_km) }] : []
    described_class.all([set, *following]).first
  end

  it "tells how far a set went, what went first, and how much faster" do
    set = {
      "left_inner" => fitting({ 60_000 => 7.0, 80_000 => 2.0 }),
      "left_outer" => fitting({ 80_000 => 8.0 }),
      "right_inner" => fitting({ 80_000 => 7.4 }),
      "right_outer" => fitting({ 80_000 => 8.0 })
    }
    told = story(set, 80_100.0)
    expect(told).to have_attributes(
      from_km: 50_000.0,
      upto_km: 80_100.0,
      known: true,
      first: "left_inner",
      left_mm: 2.0,
      new_mm: 11.0
    )
    # 9 mm over 30,000 km is 0.3 mm in 1000; the others 3, 3 and 3.6 mm, the middle one 0.1
    expect(told.pace).to be_within(1e-9).of(0.3)
    expect(told.uneven).to be_within(1e-9).of(3.0)
  end

  it "takes the last reading as the end of a set that is on, and the first where its fitting isn't known" do
    on = story({ "left_inner" => fitting({ 61_000 => 9.0 }), "left_outer" => fitting({ 70_500 => 8.0 }) })
    expect(on).to have_attributes(upto_km: 70_500.0, first: "left_outer")
    old = story({ "left_inner" => fitting({ 20_000 => 6.0, 30_000 => 4.0 }, fitted_km: nil) })
    expect(old).to have_attributes(from_km: 20_000.0, known: false, new_mm: nil, pace: be_within(1e-9).of(0.2))
  end

  it "says nothing of a rate that is within the readings' errors, or of a set that was never read" do
    fresh = story({ "left_inner" => fitting({ 51_000 => 10.8 }), "left_outer" => fitting({ 51_000 => 10.9 }) })
    expect(fresh).to have_attributes(first: "left_inner", pace: nil, uneven: nil)
    expect(story({ "left_inner" => fitting({}) }, 90_000.0)).to have_attributes(
      first: nil,
      left_mm: nil,
      pace: nil,
      upto_km: 90_000.0
    )
  end
end
