# frozen_string_literal: true

require_relative "../contract/device"

RSpec.describe "Simulated devices" do
  RSpec::Matchers.define(:be_in) { |list| match { |value| list.include?(value) } }

  Graver::Devices::Simulated::Bench.shelf.all.each do |each|
    describe(each.label) do
      let(:device) { Graver::Devices::Simulated::Bench.shelf.find(each.id) }

      it_behaves_like "a device"
    end
  end

  describe Graver::Devices::Simulated::TorqueWrench do
    let(:wrench) { Graver::Devices::Simulated::Bench.shelf.find("wrench") }

    def pulls(count) = Array.new(count) { wrench.read("torque").value.to_f / 100 }

    it "reaches its setting, overshoots or clicks early as set" do
      wrench.touch(set: 100.0)
      expect(pulls(50)).to all(be_within(0.06).of(1.0))
      wrench.change("noise" => 0, "over" => 100)
      expect(pulls(20)).to all(be_between(1.079, 1.251))
      wrench.change("over" => 0, "early" => 100)
      expect(pulls(20)).to all(be_between(0.749, 0.901))
      wrench.change("early" => 0)
      wrench.touch(set: 90.0)
      expect(wrench.read("angle")).to have_attributes(value: "90", unit: "°", simulated: true)
    end
  end

  describe Graver::Devices::Simulated::DiagnosticReader do
    let(:unit) { Graver::Devices::Simulated::Bench.shelf.find("diagnostic") }

    # 30 to 40 s for the motors of a parking brake: common practice, no source
    it "opens the brake in time and fails as vehicles do" do
      expect(Array.new(20) { unit.act("brake_open").seconds }).to all(be_between(30, 40))
      unit.change("volts" => 11.5)
      expect { unit.act("brake_open") }.to raise_error(Graver::DeviceFailed, /11\.5 V: connect the maintainer/)
      unit.change("volts" => 12.6, "door" => 100)
      expect { unit.act("brake_open") }.to raise_error(Graver::DeviceFailed, /half open/)
      unit.change("door" => 0, "refuses" => 100)
      expect { unit.act("brake_close") }.to raise_error(Graver::DeviceFailed, /Never force it/)
      expect { unit.act("pump_bleed") }.to raise_error(
        Graver::DeviceFailed,
        /The vehicle refuses. Ignition on, engine off, and/
      )
    end
  end

  describe Graver::Devices::Simulated::Gauge do
    let(:world) do
      Graver::Devices::Simulated::World.new(seed: 5, written: { "Finch" => { "front" => { "left_inner" => 8.4 } } })
    end
    let(:gauge) do
      described_class.new(id: "g", label: "Gauge", method: "caliper", step_mm: 0.01, noise_mm: 0.03, seed: 5, world:)
    end

    def readings(count) = Array.new(count) { gauge.read("length").value.to_f }

    # Facts of sampling: the mean of 400 lies within four standard errors, their standard deviation within a tenth or
    # so.
    it "reads what it touches, with noise, zero error and drift" do
      gauge.touch(vehicle: "Finch", axle: "front", part: "pad", side: "left", pad: "inner")
      shown = readings(400)
      mean = shown.sum / 400
      sd = Math.sqrt(shown.sum { |value| (value - mean)**2 } / 399)
      expect(mean).to be_within(4 * 0.03 / 20).of(8.4)
      expect(sd).to be_within(0.004).of(0.03)
      gauge.change("noise" => 0, "zero" => -1.5)
      expect(readings(2)).to eq([6.9, 6.9])
      drifting =
        described_class.new(
          id: "d",
          label: "Drifting",
          method: "caliper",
          step_mm: 0.01,
          noise_mm: 0.0,
          seed: 5,
          world:
        )
      drifting.change("drift" => 0.1)
      expect(Array.new(3) { drifting.read("length").value }).to eq(%w[0.00 0.10 0.20])
    end

    it "is the same for the same seed, disconnects when told, and rejects invalid settings as a whole" do
      twin =
        described_class.new(id: "g", label: "Gauge", method: "caliper", step_mm: 0.01, noise_mm: 0.03, seed: 5, world:)
      expect(readings(5)).to eq(Array.new(5) { twin.read("length").value.to_f })
      gauge.change("drops" => 100)
      expect { gauge.read("length") }.to raise_error(Graver::DeviceFailed, /Lost contact/)
      expect(gauge).not_to be_connected
      expect { gauge.change("noise" => 0.5, "zero" => 99, "drift" => "much") }.to raise_error(
        Graver::InvalidEntry
      ) { |e| expect(e.faults.map(&:field)).to eq(%w[settings.zero settings.drift]) }
      expect(gauge.settings.find { |knob| knob.id == "noise" }.value).to eq(0.03)
    end
  end

  it "reads the odometer and the level, in eighths" do
    reader =
      Graver::Devices::Simulated::Bench.shelf(
        written: {
          "Finch" => {
            "odometer_km" => 101_250.7,
            "fluid_level" => 0.5
          }
        }
      ).find("diagnostic")
    reader.touch(vehicle: "Finch")
    reader.change("level_noise" => 0)
    expect(
      [reader.read("odometer"), reader.read("fluid_level")].map do |sample|
        [sample.value, sample.unit, sample.simulated]
      end
    ).to eq([["101250", "km", true], ["4/8", "fraction", true]])
  end

  it "measure a made-up world, the same for the same seed" do
    world, twin = Array.new(2) { Graver::Devices::Simulated::World.new(seed: 3) }
    places = %w[left right].product(%w[inner outer])
    read = places.map { |side, pad| world.length_mm("Any", "front", "pad", side, pad) }
    expect(read).to eq(places.map { |side, pad| twin.length_mm("Any", "front", "pad", side, pad) }).and(
      all(be_between(1, 13))
    )
    expect(world.length_mm("Any", "front", "rotor", "left", nil)).to be_between(16, 28)
    expect(world.length_mm("Any", "rear", "drum", "left", nil)).to be_between(180, 282)
    expect(world.length_mm("Any", "rear", "pad", "left", "leading")).to be_between(1.7, 5)
    expect(world.odometer_km("Any")).not_to eq(world.odometer_km("Other"))
  end

  it "requires a device to implement its contract" do
    bare = Graver::Devices::Device.new(id: "x", label: "Bare")
    expect { bare.read("length") }.to raise_error(NotImplementedError, /Device owes read/)
  end
end
