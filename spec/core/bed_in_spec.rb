# frozen_string_literal: true

# Physics by hand; handbook values of grey cast iron (about 500 J/(kg K), 7200 kg/m3) are from memory, no source.
RSpec.describe Graver::Core::BedIn do
  let(:series) { described_class::Series.new(stops: 3, from_kmh: 100, to_kmh: 0, rest_seconds: 60) }
  let(:given) do
    { vehicle_kg: 1500, share: 0.35, rotor_kg: 7.0, ambient: 20, heat: 500, into_rotor: 1.0, cooling_seconds: 300 }
  end

  def stops(of = series, **other) = described_class::Temperatures.call(of, **given, **other)

  it "converts lost speed into heat" do
    # half of 1500 kg x (27.78 m/s)^2 is 578.7 kJ; 35 % of it warm 7 kg of iron by 57.9 K
    expect(described_class::Temperatures.energy(series, 1500)).to be_within(50).of(578_704)
    expect(stops.first).to have_attributes(number: 1, before: 20.0, peak: be_within(0.05).of(77.87))
    # twice the speed is four times the heat; down to half the speed is three quarters of it
    faster = described_class::Series.new(**series.to_h, from_kmh: 200)
    expect(stops(faster).first.peak - 20).to be_within(0.01).of(4 * (stops.first.peak - 20))
    slower = described_class::Series.new(**series.to_h, to_kmh: 50)
    expect(stops(slower).first.peak - 20).to be_within(0.01).of(0.75 * (stops.first.peak - 20))
  end

  it "cools towards the air between stops, and climbs to where a rest gives back what a stop brings" do
    # exp(-60/300) = 0.8187
    expect(stops[1].before - 20).to be_within(0.01).of((stops[0].peak - 20) * 0.81873)
    long = described_class::Series.new(**series.to_h, stops: 80)
    rise = stops.first.peak - 20
    expect(stops(long).last.peak - 20).to be_within(0.01).of(rise / (1 - 0.818731))
    rested = described_class::Series.new(**series.to_h, rest_seconds: 36_000)
    expect(stops(rested).map(&:peak)).to all(be_within(0.01).of(stops.first.peak))
  end

  it "estimates a rotor's mass from its dimensions" do
    rules = KNOWLEDGE.bed_in["rotor"].transform_keys(&:to_sym)
    vented = described_class::RotorMass.call(diameter_mm: 288, thickness_mm: 25, vented: true, rules:)
    solid = described_class::RotorMass.call(diameter_mm: 288, thickness_mm: 25, vented: false, rules:)
    # ring: pi/4 (0.288^2 - 0.1584^2) x 0.025 m x 7200 kg/m3 = 8.18 kg
    expect(solid).to be_within(0.05).of(8.18 * 1.25)
    expect(vented / solid).to be_within(1e-9).of(0.7)
  end
end
