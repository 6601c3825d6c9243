# frozen_string_literal: true

require "sequel"
require "tmpdir"

RSpec.describe "Records of planning" do
  let(:folder) { Dir.mktmpdir }
  let(:path) { File.join(folder, "house.sqlite3") }
  let(:store) { Graver::Storage::Store.open(path) }

  after { FileUtils.rm_rf(folder) }

  # A file as it was before jobs had a scope.
  def earlier
    database = Sequel.connect(adapter: "sqlite", database: path)
    Sequel.extension :migration
    Sequel::Migrator.run(database, Graver::Storage::Sqlite::MIGRATIONS, target: 4)
    vehicle = database[:vehicles].insert(name: "Juniper", kind: "car", distance_unit: "km", recorded_at: "t")
    axle = database[:axles].insert(vehicle_id: vehicle, name: "rear", sides: "left,right")
    yield database, axle
    database.disconnect
  end

  def old_job(database, axle, *events)
    id = database[:jobs].insert(axle_id: axle, procedure: "pads", recorded_at: "2026-01-01T00:00:00Z")
    events.each do |kind, value|
      database[:job_events].insert(job_id: id, kind:, value:, recorded_at: "2026-01-01T00:00:00Z")
    end
  end

  def two_axles
    store
      .vehicles
      .add(
        name: "Juniper",
        kind: "car",
        distance_unit: "km",
        axles: %w[front rear].map { |name| { name:, sides: %w[left right] } },
        at: "t"
      )
      .axles
  end

  it "upgrades a job in progress with its ticks" do
    earlier do |database, axle|
      old_job(
        database,
        axle,
        %w[planned 2026-01-02],
        %w[ticked settle],
        %w[ticked left.wheel_off],
        %w[ticked left.judge],
        %w[unticked left.judge]
      )
      old_job(database, axle, ["planned", nil])
      old_job(database, axle, ["planned", nil], %w[ticked pump], ["finished", nil])
    end
    going, untouched, done = store.jobs.of([1])
    expect(going).to have_attributes(
      state: "in_progress",
      ticked: include("settle", "rear.left.wheel_off"),
      works: {
        1 => ["pads"]
      }
    )
    expect(going.ticked).not_to include("rear.left.judge")
    expect([untouched.state, done.state, done.closed]).to match(["draft", "finished", include("day" => "2026-01-01")])
    store.close
  end

  describe "a job" do
    let(:axles) { two_axles }
    let(:job) do
      store.jobs.add(axle_id: axles.first.id, procedure: "brake_job", planned_for: nil, at: "2026-05-16T10:00:00Z")
    end

    after { store.close }

    def record(kind, value = nil) = store.jobs.record_event(job.id, kind, value, at: "2026-05-16T10:00:00Z")
    def now = store.jobs.find(job.id)

    it "is its newest event" do
      record("scope", { axles: { axles.last.id.to_s => ["bleed"], axles.first.id.to_s => ["pads"] }, reasons: {} })
      expect(now).to have_attributes(state: "draft", works: { axles.last.id => ["bleed"], axles.first.id => ["pads"] })
      record("chose", { line: "front.pads", supply: 3 })
      record("chose", { line: "front.pads", supply: 4 })
      record("settled", { item: "day", done: true })
      record("settled", { item: "weather", done: true })
      record("settled", { item: "day", done: false })
      expect(now).to have_attributes(choices: { "front.pads" => 4 }, resolved: ["weather"])
      record("ready", { because: "Rain tomorrow" })
      expect(now).to have_attributes(state: "ready", ready_because: "Rain tomorrow")
      record("draft")
      expect(now.state).to eq("draft")
    end

    it "keeps plan edits until they are removed, and notes" do
      kept, dropped =
        record("adjusted", { deed: "drop", key: "bed_in" }),
        record("adjusted", { action: "drop", key: "front.left.runout" })
      record("unadjusted", { event: dropped })
      record("noted", { step: "judge", key: "front.left.judge", text: "Longer bolt below" })
      expect(now.plan_edits).to eq(kept => { "action" => "drop", "key" => "bed_in" })
      expect(now.notes).to eq(
        [
          {
            "step" => "judge",
            "key" => "front.left.judge",
            "text" => "Longer bolt below",
            "day" => "2026-05-16",
            "by" => nil
          }
        ]
      )
    end

    it "accepts new rows and rejects changes" do
      record("ticked", "settle")
      expect { store.jobs.instance_variable_get(:@database)[:job_events].update(value: "x") }.to raise_error(
        Sequel::DatabaseError,
        /evidence/
      )
    end
  end

  it "returns supplies of these axles and the household, none archived" do
    axles = two_axles.map(&:id)
    mine = store.supplies.add({ kind: "part", item: "pads", axle_id: axles.first, name: "Plain" }, at: "t")
    store.supplies.add({ kind: "part", item: "pads", axle_id: axles.last, name: "Rear" }, at: "t")
    shared = store.supplies.add({ kind: "consumable", item: "cleaner", name: "Cleaner" }, at: "t")
    gone = store.supplies.add({ kind: "tool", item: "jack", name: "Old" }, at: "t")
    store.supplies.change(gone.id, { retired_at: "t" })
    expect(store.supplies.of([axles.first])).to eq([mine, shared])
    expect { store.supplies.find(99) }.to raise_error(Graver::NotFound)
    store.close
  end
end
