# frozen_string_literal: true

require "open3"
require "rubygems/package"
require_relative "../support/camera"
require_relative "../support/job_helper"

RSpec.describe "Archives in the API" do
  include JobHelper

  def send_bytes(path, bytes, type)
    header "Host", "127.0.0.1"
    header "Content-Type", type
    post("/api/v1#{path}", bytes)
    last_response.status
  end

  def download(name)
    get("/api/v1/backups/#{name}", {}, { "HTTP_HOST" => "127.0.0.1" })
    last_response.body.b
  end

  def names = ask(:get, "/garage")["vehicles"].map { |vehicle| vehicle["name"] }
  def made = ask(:post, "/backups")["backups"].first["name"]
  def folder(backups) = File.dirname(backups.household)

  before do
    complete
    know(front, ["rotor.retention", "nothing", nil])
    send_bytes("/jobs/#{job["id"]}/photos?step=front.left.judge", Camera.photo, "image/jpeg")
    context.store.preferences.set("phone_access", { "passphrase" => "digest", "wanted" => true })
    context.store.preferences.set("calendar_feed", { "token" => "old" })
    now = { at: "2026-05-16T08:00:00Z", until_at: "2027-01-01T00:00:00Z" }
    context.store.sessions.add("0" * 64, device: "Phone", **now)
  end

  it "carries data and photos to an empty machine, but no passphrase and no sign-in" do
    tar = download(made)
    Dir.mktmpdir do |empty|
      File.binwrite("#{empty}/graver.tar", tar)
      said, errors, done =
        Open3.capture3(
          { "GRAVER_DATABASE" => "#{empty}/new/house.sqlite3" },
          File.join(Graver::Boot::ROOT, "bin/graver"),
          "restore",
          "#{empty}/graver.tar"
        )
      expect([said, errors, done.success?]).to match([/Restored .*by-hand\.tar\./, "", true])
      other = Graver::Storage::Store.open("#{empty}/new/house.sqlite3")
      expect(other.vehicles.all.map(&:name)).to eq(["Juniper"])
      expect(Camera.corners(other.pictures.read(other.photos.find(1).digest))).to eq(%i[red blue blue red])
      expect(other.preferences.all.keys & %w[phone_access calendar_feed]).to eq([])
      expect([other.preferences.all["phone_access"], other.sessions.all(at: "2026-06-01")]).to eq([nil, []])
      other.close
    end
  end

  it "keeps today's passphrase, devices and calendar address when a copy of before is restored" do
    names_before = ask(:post, "/backups")["backups"].first["name"]
    daily = context.store.backups.make("daily").name
    context.store.sessions.close_all(at: "2026-05-16T09:00:00Z")
    context.store.preferences.set("phone_access", { "passphrase" => "new", "wanted" => true })
    context.store.preferences.set("calendar_feed", { "token" => "new" })
    [names_before, daily].each do |name|
      ask(:post, "/backups/#{name}/restore")
      expect(status).to eq(200)
      expect(context.store.preferences.all["phone_access"]).to include("passphrase" => "new")
      expect(context.store.preferences.all["calendar_feed"]).to eq("token" => "new")
      expect(context.store.sessions.all(at: "2026-05-17T00:00:00Z")).to be_empty
    end
  end

  it "lets no device in again by a copy when nobody knows who was signed out since" do
    daily = context.store.backups.make("daily")
    context.store.close
    File.write(database, "")
    Graver::Storage::Backups.new(database).restore(daily.name)
    again = Graver::Storage::Store.open(database)
    expect([again.sessions.all(at: "2026-05-17"), again.preferences.all["phone_access"]["passphrase"]]).to eq(
      [[], "digest"]
    )
    expect(again.preferences.all).not_to include("calendar_feed")
    again.close
  end

  it "restores photos that are gone, from archives and from copies of the database" do
    digest = context.store.photos.find(1).digest
    [made, context.store.backups.make("daily").name].each do |name|
      FileUtils.rm_rf(Dir.glob("#{folder(context.store.backups)}/*-photos"))
      expect { context.store.pictures.read(digest) }.to raise_error(Graver::NotFound)
      ask(:post, "/backups/#{name}/restore")
      expect(Camera.corners(context.store.pictures.read(digest))).to eq(%i[red blue blue red])
    end
  end

  it "takes in an archive of another machine, and nothing else" do
    tar = download(made)
    FileUtils.rm_rf(Dir.glob("#{folder(context.store.backups)}/*-backups"))
    ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    changed = tar.dup.tap { |bytes| bytes.setbyte(bytes.bytesize / 2, bytes.getbyte(bytes.bytesize / 2) ^ 1) }
    foreign = StringIO.new("".b)
    Gem::Package::TarWriter.new(foreign) { |out| out.add_file_simple("../../evil", 0o600, 4) { |at| at.write("evil") } }
    ["", "no tar", tar[0, tar.bytesize / 2], changed, foreign.string].each do |bytes|
      expect(send_bytes("/backups/archives", bytes, "application/x-tar")).to eq(409)
    end
    expect(ask(:get, "/backups")["backups"]).to be_empty
    expect(send_bytes("/backups/archives", tar, "application/x-tar")).to eq(201)
    ask(:post, "/backups/#{ask(:get, "/backups")["backups"].first["name"]}/restore")
    expect(names).to eq(["Juniper"])
  end

  it "lets no other device take the data away, take data in or restore" do
    name = made
    cookie = { "HTTP_COOKIE" => "graver_session=known" }
    far = { "HTTP_HOST" => "127.0.0.1", "REMOTE_ADDR" => "192.168.7.9", **cookie }
    session = instance_double(Graver::Storage::Session, person: nil, guest: false)
    allow(Graver::Service::Household::PhoneAccess).to receive(:new).and_return(
      instance_double(Graver::Service::Household::PhoneAccess, session:)
    )
    get("/api/v1/backups", {}, far)
    expect(JSON.parse(plain(last_response.body))["may_restore"]).to be(false)
    get("/api/v1/backups/#{name}", {}, far)
    expect(last_response.status).to eq(404)
    post("/api/v1/backups/#{name}/restore", "{}", { **far, "CONTENT_TYPE" => "application/json" })
    expect(last_response.status).to eq(404)
    post("/api/v1/backups/archives", "", { **far, "CONTENT_TYPE" => "application/x-tar" })
    expect(last_response.status).to eq(404)
  end

  def locked(passphrase)
    header "Host", "127.0.0.1"
    header "Content-Type", "application/json"
    post("/api/v1/backups/encrypted-copies", JSON.generate(passphrase:))
    last_response.body.b
  end

  def unlock(zip, passphrase)
    header "Graver-Passphrase", passphrase && URI.encode_www_form_component(passphrase)
    send_bytes("/backups/archives", zip, "application/x-tar")
  end

  it "locks a copy with a passphrase; a wrong one says so, and another machine opens it" do
    words = "fünf Wörter, schwer zu raten"
    zip = locked(words)
    expect([status, zip[0, 2], zip.include?("SQLite format")]).to eq([200, "PK", false])
    expect(zip).not_to include("Juniper".b)
    Dir.mktmpdir do |empty|
      File.binwrite("#{empty}/copy.zip", zip)
      command = [File.join(Graver::Boot::ROOT, "bin/graver"), "restore", "#{empty}/copy.zip"]
      there = { "GRAVER_DATABASE" => "#{empty}/new/house.sqlite3" }
      said, errors, done = Open3.capture3(there, *command, stdin_data: "not these five words\n")
      expect([said, errors, done.success?]).to match(["", /Wrong passphrase for this copy/, false])
      said, errors, done = Open3.capture3(there, *command, stdin_data: "#{words}\n")
      expect([said, errors, done.success?]).to match([/Restored .*by-hand/, "", true])
      other = Graver::Storage::Store.open("#{empty}/new/house.sqlite3")
      expect(other.vehicles.all.map(&:name)).to eq(["Juniper"])
      expect(Camera.corners(other.pictures.read(other.photos.find(1).digest))).to eq(%i[red blue blue red])
      other.close
    end
  end

  it "refuses a short passphrase, a wrong one, and a copy that was changed" do
    locked("too short")
    expect([status, fields(JSON.parse(last_response.body))]).to eq([422, { "passphrase" => "out_of_range" }])
    before = ask(:get, "/backups")["backups"].length
    zip = locked("five words that nobody knows")
    expect(unlock(zip, "five words that somebody knows")).to eq(422)
    expect(fields(JSON.parse(last_response.body))).to eq("passphrase" => "refused")
    expect(unlock(zip, nil)).to eq(422)
    expect(
      unlock(
        zip.dup.tap { |bytes| bytes.setbyte(bytes.bytesize / 2, bytes.getbyte(bytes.bytesize / 2) ^ 1) },
        "five words that nobody knows"
      )
    ).to eq(409)
    expect(ask(:get, "/backups")["backups"].length).to eq(before + 1)
    expect(unlock(zip, "five words that nobody knows")).to eq(201)
  end
end
