# frozen_string_literal: true

require "open3"
require_relative "../support/api_helper"

RSpec.describe "Backups in the API" do
  include ApiHelper

  # Where the helper keeps this example's household.
  def file = context.store.backups.instance_variable_get(:@path)
  def names = ask(:get, "/garage")["vehicles"].map { |vehicle| vehicle["name"] }

  it "makes a backup, lists the newest first and restores one completely" do
    car
    expect(ask(:get, "/backups")).to match("backups" => [], "may_restore" => true, "folder" => end_with("-backups"))
    made = ask(:post, "/backups")["backups"]
    expect(made).to contain_exactly(include("occasion" => "By hand", "bytes" => be > 10_000))
    ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    expect(names).to contain_exactly("Juniper", "Wren")
    restored = ask(:post, "/backups/#{made.first["name"]}/restore")["backups"]
    expect(restored.map { |copy| copy["occasion"] }).to eq(["Before a restore", "By hand"])
    expect(names).to eq(["Juniper"])
    ask(:post, "/backups/#{restored.first["name"]}/restore")
    expect(names).to contain_exactly("Juniper", "Wren")
  end

  # A cached answer belongs to another history, though its revision numbers come again.
  it "shows restored data, not cached pages" do
    log = ->(day, odometer, value) { ask(:post, inspections, inspection(day, odometer, pad(value))) }
    now = -> { ask(:get, "/garage")["vehicles"].first["axles"].first["corners"].first["pads"].first["now_mm"] }
    log["2026-05-01", "60000", "9.0"]
    name = ask(:post, "/backups")["backups"].first["name"]
    before = now.call
    log["2026-05-10", "60500", "8.4"]
    other = now.call
    ask(:post, "/backups/#{name}/restore")
    expect(now.call).to eq(before)
    log["2026-05-10", "60500", "8.9"]
    expect(now.call).to be > other + 0.1
  end

  it "rejects a foreign or torn backup and changes nothing" do
    car
    %w[nothing graver.sqlite3 ..%2fgraver.sqlite3].each do |name|
      ask(:post, "/backups/#{name}/restore")
      expect(status).to eq(404)
    end
    name = ask(:post, "/backups")["backups"].first["name"]
    File.write(context.store.backups.find(name).path, "torn")
    expect(ask(:post, "/backups/#{name}/restore")["error"]).to include(
      "code" => "conflict",
      "message" => /isn't a backup that Graver made/
    )
    expect(names).to eq(["Juniper"])
  end

  it "reports a missing file as not saved and unhealthy" do
    car
    path = file
    File.rename(path, "#{path}.away")
    refused = ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    expect([status, refused["error"]["code"]]).to eq([503, "not_saved"])
    ask(:get, "/health")
    expect(status).to eq(503)
    File.rename("#{path}.away", path)
    ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    expect([status, names.length]).to eq([201, 2])
  end

  it "works from the command line too, but not under a running server" do
    car
    graver =
      lambda do |*arguments|
        Open3.capture3({ "GRAVER_DATABASE" => file }, File.join(Graver::Boot::ROOT, "bin/graver"), *arguments)
      end
    made, _, done = graver.call("backup")
    expect([made, done.success?]).to match([/Backup made: .*by-hand\.tar/, true])
    name = graver.call("restore").first[/\S+\.tar/]
    ask(:post, "/vehicles", { name: "Wren", kind: "car" })
    lock = Graver::Storage::HouseholdLock.new(file)
    expect(graver.call("restore", name)[1]).to include("Another Graver is running")
    lock.release
    expect(graver.call("restore", name).first).to match(/Restored #{name}\. Your previous data/)
    expect(names).to eq(["Juniper"])
  end
end
