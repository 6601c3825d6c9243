# frozen_string_literal: true

require "sqlite3/fork_safety"
require "tmpdir"

SQLite3::ForkSafety.suppress_warnings!

RSpec.describe "The household's file" do
  let(:folder) { Dir.mktmpdir }
  let(:path) { File.join(folder, "house.sqlite3") }

  after { FileUtils.rm_rf(folder) }

  def open = Graver::Storage::Store.open(path)
  def mode(file) = format("%o", File.stat(file).mode & 0o777)
  def empty_folder = FileUtils.rm_rf(Dir.children(folder).map { |name| File.join(folder, name) })
  def names(store) = store.vehicles.all.map(&:name)

  def add(store)
    store.transaction { store.vehicles.add(name: "Juniper", kind: "car", distance_unit: "km", axles: [], at: "t") }
  end

  # The file as an earlier version left it.
  def at_version(version)
    database = Graver::Storage::Sqlite.connect(path)
    Sequel.extension :migration
    Sequel::Migrator.run(database, Graver::Storage::Sqlite::MIGRATIONS, target: version, use_transactions: true)
    database[:vehicles].insert(name: "Wren", kind: "car", distance_unit: "km", recorded_at: "t")
    database.disconnect
  end

  it "is readable by its owner only, with folder and copies" do
    store = Graver::Storage::Store.open(File.join(folder, "deep/house.sqlite3"))
    add(store)
    copy = store.backups.make("by-hand")
    made = Dir.glob("#{folder}/deep/**/*", File::FNM_DOTMATCH).select { |file| File.file?(file) }
    expect(made.map { |file| mode(file) }.uniq).to eq(["600"])
    expect([File.join(folder, "deep"), File.dirname(copy.path)].map { |file| mode(file) }).to eq(%w[700 700])
    store.close
  end

  it "is rejected and left alone if empty, foreign, damaged or newer" do
    refused = ->(text) { expect { open }.to raise_error(Graver::FileRefused, /#{text}/) }
    File.write(path, "")
    refused["is empty"]
    File.write(path, "Dear diary")
    refused["a Graver data file"]
    expect(File.read(path)).to eq("Dear diary")
    FileUtils.rm(path)
    SQLite3::Database.new(path).tap { |other| other.execute("CREATE TABLE songs (title)") }.close
    refused["a Graver data file"]
    FileUtils.rm(path)
    open.tap { |store| 200.times { add(store) } }.close
    whole = File.binread(path)
    damaged = whole.dup
    ((whole.bytesize / 2)...whole.bytesize).step(7) { |at| damaged.setbyte(at, 0xA5) }
    [damaged, whole.byteslice(0, whole.bytesize / 3)].each do |bytes|
      File.binwrite(path, bytes)
      refused["damaged"]
      expect(File.binread(path)).to eq(bytes)
    end
    File.binwrite(path, whole)
    SQLite3::Database.new(path).tap { |newer| newer.execute("UPDATE schema_info SET version = 999") }.close
    refused["newer Graver"]
  end

  it "names its newest backups when unusable, and one can be restored" do
    store = open
    add(store)
    name = store.backups.make("by-hand").name
    store.close
    File.write(path, "")
    expect { open }.to raise_error(Graver::FileRefused, /newest backups: #{name}.*bin.graver restore/)
    expect(File.size(path)).to eq(0)
    Graver::Storage::Backups.new(path).restore(name)
    expect(Dir.glob("#{path}.refused-*").map { |file| File.size(file) }).to eq([0])
    again = open
    expect(names(again)).to eq(["Juniper"])
    again.close
  end

  it "is upgraded from every earlier version, with a backup first" do
    (1...Graver::Storage::Sqlite::NEWEST).each do |version|
      empty_folder
      at_version(version)
      store = open
      expect(names(store)).to eq(["Wren"]), "from version #{version}"
      copies = store.backups.all
      expect([copies.map(&:occasion), Graver::Storage::HouseholdFile.check(copies.first.path)]).to eq(
        [["before-upgrade"], version]
      )
      store.close
    end
  end

  it "reads a file of before corrections named their zero check: the check's own, and no other that says so" do
    at_version(14)
    database = Graver::Storage::Sqlite.connect(path)
    axle_id = database[:axles].insert(vehicle_id: 1, name: "front", sides: "left,right")
    dated = { date: "2026-05-02", odometer_value: "61000", odometer_unit: "km", odometer_km: 61_000.0 }
    inspection_id = database[:inspections].insert(vehicle_id: 1, **dated, recorded_at: "t")
    mine, other =
      %w[Caliper Rule].map do |name|
        database[:instruments].insert(name:, method: "caliper", unit: "mm", recorded_at: "t")
      end
    check =
      database[:zero_checks].insert(
        instrument_id: mine,
        date: "2026-05-03",
        reference: "0",
        read: "0.5",
        unit: "mm",
        recorded_at: "t"
      )
    [mine, other].each do |instrument_id|
      reading_id =
        database[:readings].insert(
          inspection_id:,
          axle_id:,
          event: "reading",
          part: "pad",
          side: "left",
          pad: "inner",
          method: "caliper",
          unit: "mm",
          overall: false,
          value: "8.4",
          instrument_id:
        )
      database[:corrections].insert(
        inspection_id:,
        reading_id:,
        change: '{"value":"7.9"}',
        reason: "Zero check #{check}: Caliper read +0.5 mm too much",
        recorded_at: "t"
      )
    end
    database.disconnect

    store = open
    rows = store.inspections.of_vehicle(1).first.readings
    expect(rows.map { |row| [row.instrument_id, row.corrections.map(&:zero_check_id)] }).to eq(
      [[mine, [check]], [other, [nil]]]
    )
    changing = -> { store.inspections.instance_variable_get(:@database)[:corrections].update(reason: "else") }
    expect(&changing).to raise_error(/evidence/)
    store.close
  end

  # What version 13 called look-overs, open ends and so on, one of each.
  it "reads a file of before the standard names: inspections, follow-ups, drafts, choices and the events of a job" do
    at_version(13)
    database = Graver::Storage::Sqlite.connect(path)
    axle_id = database[:axles].insert(vehicle_id: 1, name: "front", sides: "left,right")
    dated = { date: "2026-05-02", odometer_value: "61000", odometer_unit: "km", odometer_km: 61_000.0 }
    inspection = database[:look_overs].insert(vehicle_id: 1, **dated, recorded_at: "t")
    read = { part: "pad", side: "left", pad: "inner", method: "caliper", unit: "mm", overall: false }
    reading = database[:readings].insert(look_over_id: inspection, axle_id:, event: "reading", value: "8.4", **read)
    database[:doubts].insert(reading_id: reading, code: "thicker", question: "Thicker?", answer: "affirmed")
    database[:open_ends].insert(vehicle_id: 1, text: "Listen again", noted_on: "2026-05-02", recorded_at: "t")
    database[:look_over_drafts].insert(
      vehicle_id: 1,
      content: '{"entries":{"1_left_inner":{"doubts":[]}},"note":"its \\"doubts\\": none"}',
      revision: 1,
      recorded_at: "t"
    )
    database[:preferences].insert(key: "schools", value: '{"pads":"careful"}')
    job = database[:jobs].insert(axle_id:, procedure: "brake_job", recorded_at: "t")
    [
      %w[started {"day":"2026-05-02"}],
      ["basis", '{"setups":[{"configuration":{"schools":["crack.ground"]}}],"done":[]}'],
      ["otherwise", '{"step":"front.left.hook","because":"Tied up","text":"Hang it up"}'],
      %w[cleared front.left.hook],
      %w[finished {"look_over":1,"hours":2}],
      ["dropped", nil]
    ].each do |kind, value|
      database[:job_events].insert(job_id: job, kind:, value:, recorded_at: "2026-05-02T10:00:00Z")
    end
    database.disconnect

    store = open
    row = store.inspections.of_vehicle(1).first.readings.first
    expect([row.value, row.flags.map(&:answer)]).to eq(["8.4", ["affirmed"]])
    expect(store.follow_ups.of_vehicles([1])[1].map(&:text)).to eq(["Listen again"])
    expect(store.drafts.find(1).content).to eq(
      "entries" => {
        "1_left_inner" => {
          "flags" => []
        }
      },
      "note" => 'its "doubts": none'
    )
    expect(store.preferences.all).to eq("approaches" => { "pads" => "careful" })
    expect(store.jobs.find(job)).to have_attributes(
      state: "cancelled",
      started_on: Date.new(2026, 5, 2),
      deviations: include("front.left.hook"),
      resolved_deviations: ["front.left.hook"],
      closed: include("inspection" => 1),
      basis: include("setups" => [{ "configuration" => { "approaches" => ["crack.ground"] } }])
    )
    expect { store.inspections.instance_variable_get(:@database)[:inspections].delete }.to raise_error(/evidence/)
    store.close
  end

  # SIGKILL at random moments of a first start and of an upgrade; the long form is bin/bench faults.
  it "opens after a killed start or upgrade" do
    random = Random.new(7)
    [nil, 1, 5].product([0.01, 0.03, 0.06, 0.1])
      .each do |version, seconds|
        empty_folder
        at_version(version) if version
        killed = fork { open && exit!(0) }
        sleep(seconds * random.rand(0.5..1.5))
        Process.kill(:KILL, killed)
        Process.wait(killed)
        store = open
        expect(names(store)).to eq(version ? ["Wren"] : [])
        store.close
      end
  end

  it "allows one server at a time" do
    second =
      lambda do
        Graver::Storage::HouseholdLock.new(path)
        exit!(0)
      rescue Graver::FileRefused
        exit!(3)
      end
    lock = Graver::Storage::HouseholdLock.new(path)
    expect(Process.wait2(fork(&second)).last.exitstatus).to eq(3)
    lock.release
    expect(Process.wait2(fork(&second)).last.exitstatus).to eq(0)
  end

  it "rejects writes after it was removed or exchanged" do
    store = open
    add(store)
    FileUtils.mv(path, "#{path}.away")
    expect { add(store) }.to raise_error(Graver::NotSaved, /is gone/)
    expect { store.reachable? }.to raise_error(Graver::NotSaved)
    FileUtils.cp("#{path}.away", path)
    expect { add(store) }.to raise_error(Graver::NotSaved, /is gone/)
    FileUtils.mv("#{path}.away", path)
    expect(add(store).name).to eq("Juniper")
    store.close
  end

  # SQLite's own bound on pages stands in for a full disk: the same error, at the same place.
  it "reports a full disk, saves nothing partial, and continues with room" do
    store = open
    add(store)
    database = store.instance_variable_get(:@database)
    most = ->(pages) { database.synchronize { |connection| connection.execute("PRAGMA max_page_count = #{pages}") } }
    most[database.synchronize { |connection| connection.get_first_value("PRAGMA page_count") } + 1]
    expect { store.transaction { 3000.times { add(store) } } }.to raise_error(Graver::NotSaved, /disk is full/)
    most[1_000_000]
    expect(names(store)).to eq(["Juniper"])
    expect(add(store).name).to eq("Juniper")
    store.close
  end

  it "is backed up while open, verified, rotated, once a day" do
    store = open
    add(store)
    clock = Time.utc(2026, 5, 16, 8)
    backups = Graver::Storage::Backups.new(path, now: -> { clock })
    16.times do
      backups.daily
      clock += 3600
      expect(backups.daily).to be_nil
      clock += 82_800
    end
    backups.make("by-hand")
    expect(backups.all.map(&:occasion).tally).to eq("daily" => 14, "by-hand" => 1)
    expect(backups.all.first.occasion).to eq("by-hand")
    expect(backups.all.drop(1).map { |copy| Graver::Storage::HouseholdFile.check(copy.path) }.uniq).to eq(
      [Graver::Storage::Sqlite::NEWEST]
    )
    left = Dir.mktmpdir(".making-", File.dirname(backups.all.first.path))
    File.utime(clock - 90_000, clock - 90_000, left)
    backups.daily
    expect(File.directory?(left)).to be(false)
    store.close
  end

  it "is restored under an open store, with the present data backed up" do
    store = open
    add(store)
    name = store.backups.make("by-hand").name
    add(store)
    before = store.revisions.household
    kept = store.backups.restore(name)
    expect([names(store).length, store.revisions.household, kept.occasion]).to match([1, be > before, "before-restore"])
    store.backups.restore(kept.name)
    expect(names(store).length).to eq(2)
    expect { store.backups.restore("../../etc/passwd") }.to raise_error(Graver::NotFound)
    File.write(store.backups.find(name).path, "torn")
    expect { store.backups.restore(name) }.to raise_error(Graver::FileRefused)
    expect(names(store).length).to eq(2)
    store.close
  end
end
