# frozen_string_literal: true

require "stringio"
require "tmpdir"
require_relative "../support/camera"
require_relative "../support/demo_file"

RSpec.describe Graver::CLI::DoctorCommand do
  around do |example|
    before = ENV.slice("GRAVER_DATABASE", "GRAVER_PORT")
    ENV.update("GRAVER_DATABASE" => path, "GRAVER_PORT" => free_port.to_s)
    FileUtils.cp(DemoFile.path, path)
    example.run
  ensure
    ENV.update("GRAVER_DATABASE" => nil, "GRAVER_PORT" => nil, **before)
    FileUtils.rm_rf(folder)
  end

  let(:folder) { Dir.mktmpdir }
  let(:path) { File.join(folder, "house.sqlite3") }

  def free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

  # -> [exit status, what is said]
  def doctor(root: Graver::Boot::ROOT)
    out = StringIO.new
    [described_class.new(out:, root:).call([]), out.string.tr("\u00A0", " ")]
  end

  def store = Graver::Storage::Store.open(path)
  def backup = Graver::Storage::Backups.new(path).make("daily")

  it "finds nothing wrong where all is well, and changes nothing" do
    backup
    before = Dir.glob("#{folder}/**/*").to_h { |file| [file, File.file?(file) && File.read(file, mode: "rb")] }
    status, said = doctor
    expect(said).to include("All is well.").and include("✓ The data file").and match(/✓ Port \d+$/)
    expect(status).to eq(0)
    after = Dir.glob("#{folder}/**/*").to_h { |file| [file, File.file?(file) && File.read(file, mode: "rb")] }
    expect(after.reject { |file, _| file.end_with?(".lock", "-wal", "-shm") }).to eq(
      before.reject { |file, _| file.end_with?("-wal", "-shm") }
    )
  end

  it "says what to do about a missing or damaged file and its backups" do
    expect(doctor).to match([1, %r{✗ Backups: there is none. Start Graver, or run bin/graver backup}])
    File.binwrite(backup.path, "rubbish")
    expect(doctor.last).to match(%r{✗ Backups: damaged: .*daily.*Run bin/graver backup now})
    File.binwrite(path, "rubbish")
    expect(doctor.last).to match(/✗ The data file: .* isn't a Graver data file/)
    FileUtils.rm_f(path)
    expect(doctor.last).to match(/✗ The data file: .*house.sqlite3 isn't there/)
  end

  it "misses photos that are gone or changed" do
    open = store
    id = open.vehicles.all.first.id
    digests = Array.new(2) { |at| open.pictures.keep(Camera.photo(orientation: at.zero? ? 1 : 6)) }
    digests.each do |picture|
      open.photos.add(id, picture, { inspection_id: 1 }, on: Date.new(2026, 5, 16), at: "2026-05-16T00:00:00Z")
    end
    open.close
    files = Graver::Storage::Pictures.of(path).files
    expect(doctor.last).to match(/✓ Photos \(#{files.length}\)/)
    File.binwrite(files.first, "x")
    FileUtils.rm_f(files.last)
    expect(doctor.last).to match(/✗ Photos \(#{files.length}\): 1 missing, #{files.length - 1} damaged/)
  end

  it "notices a wrong clock, old backups, a full disk, and a port that is taken" do
    backup
    examine =
      lambda do |now, free|
        Graver::Storage::Examination
          .new(path, now:, free_bytes: ->(_) { free })
          .call
          .filter_map { |found| found.fault&.to_s }
      end
    now = Time.now.utc
    expect(examine[now, 10**12]).to be_empty
    expect(examine[now, nil]).to be_empty
    expect(examine[now, 40_000_000]).to contain_exactly(/only 40.MB are free/)
    expect(examine[now + (30 * 86_400), 10**12]).to contain_exactly(/the newest is 30 days old/)
    expect(examine[Time.utc(1970), 10**12]).to contain_exactly(/was wrong then or is wrong now/, /it says 1970-01-01/)
    TCPServer.open("127.0.0.1", ENV.fetch("GRAVER_PORT").to_i) do |server|
      Thread.new { server.accept.close }
      expect(doctor.last).to match(/✗ Port \d+: port \d+ belongs to another program/)
    end
  end

  it "tells a missing interface" do
    expect(doctor(root: folder)).to match([1, %r{✗ The interface: it isn't built. Run bin/setup}])
  end
end
