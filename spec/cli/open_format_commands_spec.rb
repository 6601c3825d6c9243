# frozen_string_literal: true

require "stringio"
require "tmpdir"
require_relative "../support/demo_file"

RSpec.describe "graver export and graver import" do
  around do |example|
    before, ENV["GRAVER_DATABASE"] = ENV.fetch("GRAVER_DATABASE", nil), path("there.sqlite3")
    FileUtils.cp(DemoFile.path, path("there.sqlite3"))
    example.run
  ensure
    ENV["GRAVER_DATABASE"] = before
    FileUtils.rm_rf(folder)
  end

  let(:folder) { Dir.mktmpdir }

  let(:out) { StringIO.new }
  let(:err) { StringIO.new }

  def path(name) = File.join(folder, name)
  def export(*arguments) = Graver::CLI::ExportCommand.new(out:, err:).call(arguments)
  def import(*arguments) = Graver::CLI::ImportCommand.new(out:, err:).call(arguments)

  it "carries a household to an empty machine and tells what it would do first" do
    expect(export(path("all.zip"))).to eq(0)
    ENV["GRAVER_DATABASE"] = path("new/graver.sqlite3")
    expect(import(path("all.zip"), "--replace", "--trial")).to eq(0)
    expect(out.string).to match(/would do this:.*Vehicles: \d+ new, 0 already here/m)
    expect(import(path("all.zip"), "--merge")).to eq(0)
    expect(export(path("again.json"))).to eq(0)
    names = JSON.parse(File.read(path("again.json")))["vehicles"].map { |vehicle| vehicle["name"] }
    expect(names).to include("Juniper", "Mule")
    expect(File.stat(path("again.json")).mode & 0o077).to eq(0)
    expect(err.string).to be_empty
  end

  it "refuses wrong calls, files that are there, and files with faults" do
    expect([export, export("all.txt"), import, import("a.json"), import("a.json", "--merge", "--replace")]).to all(
      eq(2)
    )
    expect(import("a.json", "--merge", "--fast")).to eq(2)
    File.write(path("mine.json"), "{}")
    expect(export(path("mine.json"))).to eq(1)
    expect(import(path("mine.json"), "--merge")).to eq(1)
    expect(import(path("nothing.json"), "--merge")).to eq(1)
    expect(err.string).to include("is there already").and include("Nothing was imported").and include("format")
    expect(File.read(path("mine.json"))).to eq("{}")
  end
end
