# frozen_string_literal: true

RSpec.describe Graver::Storage::RequestStore do
  let(:folder) { Dir.mktmpdir }
  let(:path) { File.join(folder, "house.sqlite3") }
  let(:store) { Graver::Storage::Store.open(path) }
  let(:records) { described_class.new(store) }
  let(:axles) { [{ name: "front", sides: %w[left right] }] }

  def add(to, name) = to.vehicles.add(name:, kind: "car", distance_unit: "km", axles:, at: "2026-05-16T08:00:00Z")
  def names = records.vehicles.all.map(&:name)

  after do
    store.close
    FileUtils.rm_rf(folder)
  end

  it "asks each question once, and again after a change" do
    add(records, "Juniper")
    expect(names).to eq(["Juniper"])
    # another window
    add(store, "Mule")
    expect(names).to eq(["Juniper"])
    add(records, "Thistle")
    expect(names).to eq(%w[Juniper Mule Thistle])
    expect { records.vehicles.all << 1 }.to raise_error(FrozenError)
    expect { records.vehicles.nobody_knows }.to raise_error(NoMethodError)
  end

  it "forgets what it read in a rolled-back transaction" do
    expect { records.transaction { add(records, "Ghost") && names && raise("broken off") } }.to raise_error(
      "broken off"
    )
    expect(names).to be_empty
  end

  it "calculates once until something changes" do
    vehicle = add(records, "Juniper")
    counted = 0
    2.times { records.once(:sum) { counted += 1 } }
    expect(counted).to eq(1)
    records.jobs.add(axle_id: vehicle.axles.first.id, procedure: "brake_job", planned_for: nil, at: "t")
    expect(records.once(:sum) { counted += 1 }).to eq(2)
  end

  it "raises the revision with every input of verdicts, in any connection, and not with ticks" do
    vehicle = add(store, "Juniper")
    axle = vehicle.axles.first.id
    job = store.jobs.add(axle_id: axle, procedure: "brake_job", planned_for: nil, at: "t")
    before = store.revisions.household
    store.jobs.record_event(job.id, "ticked", "cool", at: "t")
    store.drafts.save(vehicle.id, { "a" => 1 }, revision: 0, at: "t")
    expect(store.revisions.household).to eq(before)
    [
      -> { store.preferences.set("approaches", { "pads" => "law" }) },
      lambda do
        store.brake_data.add(axle, [{ key: "pad.new_thickness", value: "11", unit: "mm", source: "manual" }], at: "t")
      end,
      -> { store.vehicles.change(vehicle.id, name: "June") }
    ].each do |change|
      expect(&change).to(
        change { Graver::Storage::Store.open(path).then { |other| other.revisions.household.tap { other.close } } }
      )
    end
  end
end
