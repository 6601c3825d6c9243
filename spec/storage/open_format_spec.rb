# frozen_string_literal: true

require "tmpdir"
require "zip"
require_relative "../support/random_household"

RSpec.describe Graver::Storage::OpenFormat do
  let(:folder) { Dir.mktmpdir }

  after { FileUtils.rm_rf(folder) }

  def path(name) = File.join(folder, name)

  def empty(name)
    Graver::Storage::Sqlite.connect(path(name)).tap { |database| Graver::Storage::Sqlite.migrate(database) }
  end

  def content(database)
    described_class::Tree.tables.keys.to_h { |table| [table, database[table].all.sort_by { |row| row.values.first }] }
  end

  def given(name) = described_class::GivenFile.new(path(name), folder)

  # A file of the format, filled into an empty household, as its rows.
  def filled(name)
    file = given(name)
    expect(file.faults.map(&:to_h)).to be_empty
    file.fill(path("#{name}.sqlite3"))
    database = Graver::Storage::Sqlite.connect(path("#{name}.sqlite3"))
    [content(database), database[:preferences].all]
  ensure
    database&.disconnect
  end

  def zip_without_document(from, to)
    Zip::File.open(path(from)) do |zip|
      Zip::File.open(path(to), create: true) do |out|
        zip.entries.each do |entry|
          out.get_output_stream(entry.name) { _1.write(zip.read(entry)) } if entry.name.end_with?(".csv")
        end
      end
    end
  end

  it "has a place for every column of every table the owner fills" do
    database = empty("new")
    here = %i[sqlite_sequence schema_info preferences household_revision vehicle_revisions response_cache]
    apart = here + %i[idempotent_responses sessions pairings]
    expect(described_class::Tree.tables.keys).to match_array(database.tables - apart)
    described_class::Tree.tables.each do |table, node|
      expect([table, (node.columns.keys + [node.parent].compact.map(&:to_s)).sort]).to eq(
        [table, database[table].columns.map(&:to_s).sort]
      )
    end
  end

  it "brings any household back to the letter, as a document and as tables" do
    seed = Random.new_seed % 100_000
    6.times do |at|
      database = empty("#{at}.sqlite3")
      RandomHousehold.new(database, seed + at).fill
      document = described_class::Written.new(database).call("2026-05-16T00:00:00Z")
      File.write(path("#{at}.json"), JSON.pretty_generate(document))
      described_class::Package.write(path("#{at}.zip"), document, [])
      zip_without_document("#{at}.zip", "#{at}-tables.zip")
      expected = [content(database), database[:preferences].exclude(key: "phone_access").all]
      ["#{at}.json", "#{at}.zip", "#{at}-tables.zip"].each do |name|
        expect(filled(name)).to eq(expected), "#{name}, seed #{seed + at}"
      end
      expect(JSON.generate(document)).not_to include("secret")
    end
  end

  it "names line and place of what it does not understand" do
    database = empty("plain.sqlite3")
    database[:vehicles].insert(id: 4, name: "Juniper", kind: "car", distance_unit: "km", recorded_at: "t")
    document = described_class::Written.new(database).call("t")
    vehicle = document["vehicles"].first
    {
      { "vehicles" => [vehicle.merge("name" => 5)] } => [/name/, /not a string/],
      { "vehicles" => [vehicle.merge("wings" => "two")] } => [/wings/, /invalid|disallowed|unevaluated|not allowed/i],
      { "vehicles" => [vehicle, vehicle] } => [/vehicles\.1\.id/, /two rows/],
      {
        "supplies" => [{ "id" => 1, "kind" => "k", "item" => "i", "name" => "n", "recorded_at" => "t", "axle_id" => 9 }]
      } => [/supplies\.0\.axle_id/, /isn't there/],
      { "format" => "graver-household/9" } => [/format/, /graver-household/]
    }.each do |change, (place, text)|
      File.write(path("bad.json"), JSON.pretty_generate(document.merge(change)))
      fault = given("bad.json").faults.first
      line = File.readlines(path("bad.json"))[fault.line - 1]
      expect(fault).to have_attributes(place:, text:)
      expect(line).to include(fault.place.split(".").last).or(match(/[\[{]/))
    end
    File.write(path("broken.json"), "{\n\"format\":\n")
    expect(given("broken.json").faults.first.text).to include("isn't a household")
    File.write(path("list.json"), "[]")
    expect(given("list.json").faults.first.text).to include("isn't a household")
  end

  def tables(**files)
    FileUtils.rm_f(path("bad.zip"))
    Zip::File.open(path("bad.zip"), create: true) do |zip|
      files.each { |name, text| zip.get_output_stream("tables/#{name}.csv") { |out| out.write(text) } }
    end
    given("bad.zip").faults.map { |fault| "#{fault.place} #{fault.text}" }.join("\n")
  end

  it "names file and line of a table, and takes no file that doesn't belong" do
    head = "id,name,kind,distance_unit,recorded_at,sample,drive\n"
    good = "1,Juniper,car,km,t,false,combustion\n"
    expect(tables(vehicles: head + good)).to be_empty
    expect(tables(vehicles: "#{head}one,Juniper,car,km,t,false,combustion\n")).to include("vehicles.csv:2").and include(
            "“one”"
          )
    expect(tables(vehicles: "#{head.chomp},wings\n")).to include("Column wings")
    expect(tables(vehicles: head + good, axles: "id,name,sides,vehicle_id\n2,front,left,7\n")).to include("axles.csv:2")
    expect(tables(vehicles: head + good + good.sub(",t,", ",,"))).to include("vehicles.csv:3")
    Zip::File.open(path("odd.zip"), create: true) { |zip| zip.get_output_stream("../../evil.csv") { _1.write("x") } }
    expect(given("odd.zip").faults.first.text).to include("doesn't belong")
    File.binwrite(path("cut.zip"), "PK\x03\x04rest")
    expect(given("cut.zip").faults.first.text).to include("damaged")
  end

  # What one machine has is added to another's, whose rows have other numbers.
  it "merges once, renumbers, and changes nothing that is there" do
    theirs, mine = empty("theirs.sqlite3"), empty("mine.sqlite3")
    RandomHousehold.new(theirs, 17).fill
    RandomHousehold.new(mine, 12).fill
    before = content(mine)
    document = JSON.parse(JSON.generate(described_class::Written.new(theirs).call("t")))
    first, second = Array.new(2) { mine.transaction { described_class::Merged.new(mine).call(document) } }
    expect(first.values.sum(&:added)).to be > 20
    expect(second.values.sum(&:added)).to eq(0)
    expect(content(mine).to_h { |table, rows| [table, rows & before.fetch(table)] }).to eq(before)
    expect(mine.foreign_key_list(:readings)).not_to be_empty
    expect(mine.fetch("PRAGMA foreign_key_check").all).to be_empty
  end
end
