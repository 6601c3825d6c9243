# frozen_string_literal: true

require "exifr/jpeg"
require "tmpdir"
require_relative "../support/camera"

RSpec.describe Graver::Storage::Pictures do
  let(:folder) { Dir.mktmpdir }
  let(:pictures) { described_class.of(File.join(folder, "household.sqlite3")) }
  let(:files) { Dir.glob("#{folder}/household-photos/*") }

  after { FileUtils.remove_entry(folder) }

  it "removes a photo's metadata and turns it upright" do
    sideways = Camera.photo(orientation: 6)
    # the made-up camera's notes are readable as such
    expect(EXIFR::JPEG.new(StringIO.new(sideways))).to have_attributes(gps_latitude_ref: "N", width: 32)
    kept = pictures.keep(sideways)
    expect(kept).to have_attributes(width: 16, height: 32)
    bytes = pictures.read(kept.digest)
    expect(EXIFR::JPEG.new(StringIO.new(bytes))).to have_attributes(exif?: false)
    expect(bytes).not_to include("Exif")
    # held a quarter turn, what was left is at the top (CIPA DC-008: the 0th row is the right-hand side)
    expect(Camera.corners(bytes)).to eq(%i[red red blue blue])
    expect(files).to eq(["#{folder}/household-photos/#{kept.digest}.jpg"])
    expect(File.stat(files.first).mode & 0o777).to eq(0o600)
  end

  {
    1 => %i[red blue blue red],
    2 => %i[blue red red blue],
    3 => %i[blue red red blue],
    4 => %i[red blue blue red],
    5 => %i[red red blue blue],
    7 => %i[blue blue red red],
    8 => %i[blue blue red red]
  }.each do |orientation, corners|
    it "turns orientation #{orientation} upright" do
      expect(Camera.corners(pictures.read(pictures.keep(Camera.photo(orientation:)).digest))).to eq(corners)
    end
  end

  it "keeps the same photo once and rejects non-photos" do
    expect([pictures.keep(Camera.photo), pictures.keep(Camera.photo)].uniq.length).to eq(1)
    # cut short within its head; another kind; a wild size; nothing
    huge = Camera.photo.sub("\x00\x10\x00\x20".b, "\xFF\xFF\xFF\xFF".b)
    [Camera.photo[0, 30], "\x89PNG\r\n\x1A\n", huge, ""].each { |bytes| expect(pictures.keep(bytes.b)).to be_nil }
    expect(files.length).to eq(1)
    expect { pictures.read("0" * 64) }.to raise_error(Graver::NotFound)
  end

  it "reports a full disk" do
    File.write("#{folder}/household-photos", "in the way")
    expect { pictures.keep(Camera.photo) }.to raise_error(Graver::NotSaved, /could not be saved/)
  end
end
