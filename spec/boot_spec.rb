# frozen_string_literal: true

RSpec.describe Graver::Boot do
  it "reads file and day from the settings and rejects invalid ones" do
    expect(described_class.setting({}, "GRAVER_DATABASE")).to end_with("graver/graver.sqlite3")
    expect(described_class.setting({ "GRAVER_DATABASE" => "" }, "GRAVER_DATABASE")).to end_with("graver/graver.sqlite3")
    expect(described_class.today({ "GRAVER_TODAY" => "2026-05-16" }).call).to eq(Date.new(2026, 5, 16))
    expect(described_class.today({}).call).to eq(Date.today)
    expect { described_class.today({ "GRAVER_TODAY" => "soon" }) }.to raise_error(
      Graver::InvalidEntry,
      /to a day such as/
    )
  end

  it "adds simulated devices only on request and rejects an unreadable world" do
    expect(described_class.devices(nil)).to match(devices: have_attributes(all: []), counter: nil)
    world = described_class.devices(File.join(described_class::ROOT, "demo/household.yml"))
    expect([world[:devices].all.map(&:simulated?), world[:counter].simulated?]).to eq([[true] * 4, true])
    ["/nowhere.yml", __FILE__].each do |path|
      expect { described_class.devices(path) }.to raise_error(Graver::InvalidEntry, /“yes” or a file/)
    end
  end

  it "fills the demo once and never over existing data" do
    Dir.mktmpdir do |folder|
      path = File.join(folder, "demo.sqlite3")
      command = Graver::CLI::DemoCommand.new(out: StringIO.new, err: StringIO.new)
      expect([command.call([path]), File.size(path).positive?, Dir.children(folder)]).to eq([0, true, ["demo.sqlite3"]])
      File.write(path, "mine")
      expect([command.call([path]), File.read(path), command.call([])]).to eq([0, "mine", 2])
    end
  end
end
