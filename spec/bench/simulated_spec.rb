# frozen_string_literal: true

require_relative "../contract/device"
require "graver/bench/shelf"

RSpec.describe "Simulated devices" do
  RSpec::Matchers.define(:be_in) { |list| match { |value| list.include?(value) } }

  Graver::Bench::Shelf.simulated.all.each do |each|
    describe(each.label) do
      let(:device) { Graver::Bench::Shelf.simulated.find(each.id) }

      it_behaves_like "a device on the bench"
    end
  end

  describe Graver::Bench::Simulated::Gauge do
    let(:gauge) { described_class.new(id: "g", label: "Gauge", method: "caliper", step_mm: 0.01, noise_mm: 0.03, seed: 5) }

    def readings(count) = Array.new(count) { gauge.read("length").value.to_f }

    # Facts of sampling: the mean of 400 lies within four standard errors, their standard deviation within a tenth or so.
    it "shows what it touches, with its noise, a wrong zero and drift" do
      gauge.touch(length_mm: 8.4)
      shown = readings(400)
      mean = shown.sum / 400
      sd = Math.sqrt(shown.sum { |value| (value - mean)**2 } / 399)
      expect(mean).to be_within(4 * 0.03 / 20).of(8.4)
      expect(sd).to be_within(0.004).of(0.03)
      gauge.change("noise" => 0, "zero" => -1.5)
      expect(readings(2)).to eq([6.9, 6.9])
      drifting = described_class.new(id: "d", label: "Drifting", method: "caliper", step_mm: 0.01, noise_mm: 0.0, seed: 5)
      drifting.change("drift" => 0.1)
      expect(Array.new(3) { drifting.read("length").value }).to eq(%w[0.00 0.10 0.20])
    end

    it "is the same for the same seed, drops its line when told, and refuses wild knobs without turning any" do
      twin = described_class.new(id: "g", label: "Gauge", method: "caliper", step_mm: 0.01, noise_mm: 0.03, seed: 5)
      expect(readings(5)).to eq(Array.new(5) { twin.read("length").value.to_f })
      gauge.change("drops" => 100)
      expect { gauge.read("length") }.to raise_error(Graver::DeviceFailed, /dropped its line/)
      expect(gauge).not_to be_connected
      expect { gauge.change("noise" => 0.5, "zero" => 99, "drift" => "much") }.to raise_error(Graver::InvalidEntry) { |e| expect(e.faults.map(&:field)).to eq(%w[settings.zero settings.drift]) }
      expect(gauge.settings.find { |knob| knob.id == "noise" }.value).to eq(0.03)
    end
  end

  it "reads the odometer and the level, in eighths" do
    reader = Graver::Bench::Shelf.simulated.find("diagnostic")
    reader.touch(odometer_km: 101_250.7, fluid_level: 0.5)
    reader.change("level_noise" => 0)
    expect([reader.read("odometer"), reader.read("fluid_level")].map { |sample| [sample.value, sample.unit] }).to eq([%w[101250 km], %w[4/8 fraction]])
  end

  it "owes what a device owes, and says what is missing" do
    bare = Graver::Bench::Device.new(id: "x", label: "Bare")
    expect { bare.read("length") }.to raise_error(NotImplementedError, /Device owes read/)
  end
end
