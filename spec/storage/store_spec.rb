# frozen_string_literal: true

require "tmpdir"

RSpec.describe Graver::Storage::Store do
  subject(:store) { described_class.open(path) }

  let(:folder) { Dir.mktmpdir }
  let(:path) { File.join(folder, "deep", "house.sqlite3") }
  let(:vehicle) do
    store.vehicles.add(
      name: "Juniper",
      kind: "car",
      distance_unit: "km",
      axles: [{ name: "front", sides: %w[left right] }, { name: "rear", sides: %w[left] }],
      at: "t"
    )
  end

  after do
    store.close
    FileUtils.rm_rf(folder)
  end

  def log(day, km, readings = [])
    store.inspections.add(
      vehicle_id: vehicle.id,
      date: Date.iso8601(day),
      odometer: {
        value: km.to_s,
        unit: "km",
        km: km.to_f
      },
      note: nil,
      readings:,
      at: "t"
    )
  end

  it "creates its folder and keeps data when reopened" do
    id = vehicle.id
    store.close
    again = described_class.open(path)
    expect(again.vehicles.find(id)).to eq(vehicle)
    again.close
  end

  it "returns inspections by date and odometer, with readings in order" do
    log(
      "2026-02-01",
      200,
      [
        { axle_id: vehicle.axles[0].id, part: "pad", value: "8", place: 1 },
        { axle_id: vehicle.axles[0].id, part: "pad", value: "7.9", place: 2 }
      ]
    )
    log("2026-01-01", 100)
    expect(
      store
        .inspections
        .of_vehicle(vehicle.id)
        .map { |inspection| [inspection.date.iso8601, inspection.readings.map(&:value)] }
    ).to eq([["2026-01-01", []], ["2026-02-01", %w[8 7.9]]])
    expect(store.inspections.of_vehicles([vehicle.id, 99]).keys).to eq([vehicle.id])
  end

  it "keeps every value of a key and counts the newest" do
    id = vehicle.axles.first.id
    [%w[11 mm], %w[7/16 in], [nil, nil]].each do |value, unit|
      store.brake_data.add(id, [{ key: "pad.new_thickness", value:, unit:, source: "manual" }], at: "t")
    end
    expect(store.brake_data.current(id)).to eq({})
    expect(store.brake_data.history(id).fetch("pad.new_thickness").map(&:value)).to eq(["11", "7/16", nil])
  end

  it "rolls everything back when one thing fails" do
    expect do
      store.transaction do
        log("2026-01-01", 100)
        log("2026-01-02", 200, [{ axle_id: 4711, part: "pad" }])
      end
    end.to raise_error(Sequel::ForeignKeyConstraintViolation)
    expect(store.inspections.of_vehicle(vehicle.id)).to be_empty
  end

  it "makes a second writer wait instead of failing" do
    vehicle
    other = described_class.open(path)
    id = vehicle.axles.first.id
    write =
      lambda do |one|
        20.times do |n|
          one.transaction do
            one.brake_data.add(id, [{ key: "k#{n}", value: "1", unit: nil, source: "manual" }], at: "t")
            # the other writer surely comes upon a transaction half done
            sleep 0.002
          end
        end
      end
    writers = [store, other].map { |one| Thread.new { write.call(one) } }
    expect { writers.each(&:join) }.not_to raise_error
    expect(store.brake_data.current(vehicle.axles.first.id).length).to eq(20)
    other.close
  end

  # What an owner has from before: nothing in it was simulated, nobody chose among sources, and no vehicle is a sample.
  it "upgrades an earlier version's file with everything in it" do
    old = Sequel.sqlite(File.join(folder, "old.sqlite3"))
    Sequel::Migrator.run(old, Graver::Storage::Sqlite::MIGRATIONS, target: 5)
    vehicle_id = old[:vehicles].insert(name: "Old", kind: "car", distance_unit: "km", recorded_at: "t")
    axle_id = old[:axles].insert(vehicle_id:, name: "front", sides: "left,right")
    inspection_id =
      old[:look_overs].insert(
        vehicle_id:,
        date: "2025-05-10",
        odometer_value: "60000",
        odometer_unit: "km",
        odometer_km: 60_000.0,
        recorded_at: "t"
      )
    old[:readings].insert(
      look_over_id: inspection_id,
      axle_id:,
      event: "reading",
      part: "pad",
      side: "left",
      pad: "inner",
      method: "caliper",
      value: "8.4",
      unit: "mm",
      overall: false
    )
    old[:look_over_drafts].insert(vehicle_id:, content: "{}", revision: 3, recorded_at: "t")
    old.disconnect
    again = described_class.open(File.join(folder, "old.sqlite3"))
    expect(again.inspections.of_vehicle(vehicle_id).first.readings).to contain_exactly(
      have_attributes(value: "8.4", simulated: false)
    )
    expect(again.vehicles.find(vehicle_id)).to have_attributes(sample: false, archived: false)
    expect(again.drafts.save(vehicle_id, { "on" => 1 }, revision: 3, at: "t").revision).to eq(4)
    again.close
  end

  it "lets one of two windows save the draft and returns a conflict to the other" do
    id = vehicle.axles.first.id
    first = store.drafts.save(id, { "a" => 1 }, revision: 0, at: "t").revision
    expect { store.drafts.save(id, { "a" => 2 }, revision: 0, at: "t") }.to raise_error(Graver::Conflict) { |error|
      expect(error.current.content).to eq("a" => 1)
    }
    expect(store.drafts.save(id, { "a" => 3 }, revision: first, at: "t").revision).to eq(first + 1)
    # the next draft of this vehicle is another one: whoever still holds the first writes into nothing of it
    store.drafts.remove(id)
    store.drafts.save(id, { "b" => 1 }, revision: 0, at: "t")
    [first, first + 1].each do |held|
      expect { store.drafts.save(id, { "a" => 4 }, revision: held, at: "t") }.to raise_error(Graver::Conflict)
    end
    binned = store.drafts.bin(id, at: "t")
    store.drafts.restore(store.drafts.find_binned(binned), at: "t")
    expect(store.drafts.find(id).content).to eq("b" => 1)
    expect { store.drafts.find_binned(binned) }.to raise_error(Graver::NotFound)
    store.drafts.remove(id)
    expect(store.drafts.find(id)).to be_nil
  end
end
