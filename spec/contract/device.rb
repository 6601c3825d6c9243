# frozen_string_literal: true

# What every device owes (lib/graver/devices/device.rb), whoever makes it. `device` is one that can answer.
RSpec.shared_examples "a device" do
  it "names itself and what it sends" do
    expect([device.id, device.label]).to all(match(/\S/))
    expect(device.quantities).to be_any.and(all(be_in(%w[length odometer fluid_level torque angle])))
    expect(device.method.nil?).to eq(!device.quantities.include?("length"))
  end

  it "connects and disconnects in any state, and reads only while connected" do
    2.times { device.disconnect }
    expect { device.read(device.quantities.first) }.to raise_error(Graver::DeviceFailed, /isn't connected/)
    2.times { device.connect }
    expect(device).to be_connected
  end

  it "sends figures as displayed, with a unit" do
    device.quantities.each do |quantity|
      sample = device.read(quantity)
      expect(Graver::Core::Quantity::EnteredNumber.parse(sample.value).value).to be_a(Rational)
      expect(sample).to have_attributes(quantity:, unit: be_in(%w[mm in km mi fraction N·m °]))
    end
  end

  it "runs the actions it offers, in time, and no others" do
    device.actions.each do |action|
      expect(device.act(action)).to have_attributes(action:, seconds: be_positive, simulated: device.simulated?)
    end
    expect { device.act("fly") }.to raise_error(Graver::DeviceFailed)
    device.disconnect
    device.actions.each do |action|
      expect { device.act(action) }.to raise_error(Graver::DeviceFailed, /isn't connected/)
    end
    device.connect
  end

  it "rejects quantities it doesn't send and settings it doesn't have" do
    expect { device.read("temperature") }.to raise_error(Graver::DeviceFailed)
    expect { device.change("nonsense" => 1) }.to raise_error(Graver::InvalidEntry)
  end
end
