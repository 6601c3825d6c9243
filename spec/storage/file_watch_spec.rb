# frozen_string_literal: true

require "tmpdir"

RSpec.describe "The household's file while Graver has it open" do
  let(:folder) { Dir.mktmpdir }
  let(:path) { File.join(folder, "house.sqlite3") }
  let(:store) { Graver::Storage::Store.open(path) }

  before { 40.times { |at| add("Juniper #{at}") } }

  after do
    store.close
    FileUtils.rm_rf(folder)
  end

  def add(name)
    store.transaction { store.vehicles.add(name:, kind: "car", distance_unit: "km", axles: [], at: "t") }
  end

  def names(of = store) = of.vehicles.all.map(&:name)

  def checkpoint = store.instance_variable_get(:@database).run("PRAGMA wal_checkpoint(TRUNCATE)")

  # Another program's hand, that closes no handle here: it would drop SQLite's locks.
  def elsewhere(code)
    expect(system(RbConfig.ruby, "-e", code, path)).to be(true)
  end

  def expect_refused(text)
    expect { add("Wren") }.to raise_error(Graver::NotSaved, text)
    expect { store.reachable? }.to raise_error(Graver::NotSaved, text)
  end

  it "saves nothing to a file that was cut off" do
    checkpoint
    elsewhere("File.truncate(ARGV[0], File.size(ARGV[0]) - 4096)")
    expect_refused(/is damaged/)
  end

  # SQLite copies the log into the file page by page, the head first: in between, the file is too short.
  it "calls no file damaged while another process copies the log into it" do
    checkpoint
    size = File.size(path)
    elsewhere("File.truncate(ARGV[0], File.size(ARGV[0]) - 4096)")
    faults =
      [-> { true }, -> { false }, -> { File.truncate(path, size) && true }].map do |copied|
        Graver::Storage::FileWatch.new(path, &copied).fault
      end
    expect(faults).to eq(["file.corrupt", nil, nil])
  end

  it "saves nothing to a file whose head was overwritten" do
    checkpoint
    elsewhere("File.open(ARGV[0], 'r+b') { |file| file.write('x' * 64) }")
    expect_refused(/is damaged/)
  end

  it "saves nothing after a statement, be it a read, met a damaged page" do
    checkpoint
    elsewhere("File.open(ARGV[0], 'r+b') { |file| file.seek(4096); file.write('x' * (file.size - 4096)) }")
    first = store.instance_variable_get(:@database)
    first.run("PRAGMA shrink_memory")
    expect { names }.to raise_error(Graver::NotSaved, /is damaged/)
    expect_refused(/is damaged/)
  end

  it "saves nothing to a log without a name, and brings what it held into the file first" do
    elsewhere("File.delete(ARGV[0] + '-wal')")
    expect_refused(/removed .*-wal/)
    copy = File.join(folder, "copy.sqlite3")
    elsewhere("require 'fileutils'; FileUtils.cp(ARGV[0], '#{copy}')")
    saved = SQLite3::Database.new(copy, readonly: true)
    expect(saved.get_first_value("SELECT count(*) FROM vehicles")).to eq(40)
    saved.close
  end

  it "saves again to a file that is back in its place" do
    elsewhere("File.rename(ARGV[0], ARGV[0] + '.away')")
    expect_refused(/is gone/)
    elsewhere("File.rename(ARGV[0] + '.away', ARGV[0])")
    add("Wren")
    expect(names.last).to eq("Wren")
  end

  it "opens no connection once it is closed" do
    store.close
    expect { names }.to raise_error(Sequel::DatabaseConnectionError)
  end

  it "names a page that was changed between two runs, unless the owner put another file there" do
    copy = store.backups.make("daily").path
    store.close
    whole = File.binread(path)
    at = whole.index("Juniper 17")
    File.binwrite(path, whole.dup.tap { |bytes| bytes[at, 7] = "Jasmine" })
    expect { Graver::Storage::Store.open(path) }.to raise_error(Graver::FileRefused, /\(1 page\).*newest backups/)
    File.binwrite(path, whole)
    Graver::Storage::Store.open(path).close
    FileUtils.cp(copy, path)
    Graver::Storage::Store.open(path).tap { |own| expect(names(own).length).to eq(40) }.close
  end

  it "tells in its health that the disk is full, until there is room again" do
    allow(File).to receive(:binwrite).and_raise(Errno::ENOSPC)
    expect { store.reachable? }.to raise_error(Graver::NotSaved, /disk is full/)
    allow(File).to receive(:binwrite).and_call_original
    expect(store.reachable?).to be(true)
    expect(Dir.children(folder).grep(/room/)).to be_empty
  end

  it "is looked through by another process" do
    graver = [RbConfig.ruby, File.join(Graver::Boot::ROOT, "bin/graver"), "check"]
    check = Graver::Storage::CheckApart.new(graver, path)
    checkpoint
    expect(check).not_to be_damaged
    elsewhere("File.open(ARGV[0], 'r+b') { |file| file.seek(8192); file.write('x' * 4096) }")
    expect(check).to be_damaged
    expect(Graver::Storage::CheckApart.new(%w[no-such-program], path)).not_to be_damaged
  end

  it "lets no second server have it by a link, nor without its lock" do
    lock = Graver::Storage::HouseholdLock.new(path)
    FileUtils.ln_s(path, "#{path}.soft")
    FileUtils.ln(path, "#{path}.hard")
    FileUtils.rm("#{path}.lock")
    %w[.soft .hard]
      .push("")
      .each do |name|
        expect { Graver::Storage::HouseholdLock.new("#{path}#{name}") }.to raise_error(
          Graver::FileRefused,
          /Another Graver/
        )
      end
    lock.release
    Graver::Storage::HouseholdLock.new("#{path}.hard").release
  end
end
