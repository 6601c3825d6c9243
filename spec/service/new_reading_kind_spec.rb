# frozen_string_literal: true

require_relative "../support/api_helper"

# docs/adding.md, "A reading kind": two files of knowledge, and nothing else.
RSpec.describe "A new kind of reading" do
  include ApiHelper

  let(:folder) { Dir.mktmpdir }
  # The height of the rust lip, read with the caliper.
  let(:knowledge) do
    Dir.mktmpdir do |folder|
      FileUtils.cp_r("#{Graver::Knowledge::Library::FOLDER}/.", folder)
      {
        "measurement.yml" => [
          ["    shoe: 0.2\n", "    shoe: 0.2\n    lip: 0.1\n"],
          ["  runout: [0, 3]\n", "  runout: [0, 3]\n  lip: [0, 5]\n"]
        ],
        "inspection.yml" => [
          ["corners:\n", "  lip: { label: rust lip, part: lip, method: caliper, places: 1 }\ncorners:\n"],
          ["within: [inner,", "within: [lip, inner,"]
        ]
      }.each do |name, changes|
        path = File.join(folder, name)
        File.write(path, changes.reduce(File.read(path)) { |text, (from, to)| text.sub(from, to) })
      end
      Graver::Knowledge::Library.load(folder)
    end
  end

  after { FileUtils.rm_rf(folder) }

  def context
    @context ||=
      Graver::Boot.context(
        { "GRAVER_DATABASE" => File.join(folder, "graver.sqlite3"), "GRAVER_TODAY" => ApiHelper::TODAY },
        knowledge:
      )
  end

  def lip(value)
    { axle: front, part: "lip", side: "left", event: "reading", method: "caliper", unit: "mm", values: [value] }
  end

  it "is offered, taken, refused out of its range, and shown in the log" do
    offered = ask(:get, "/vehicles/#{car["id"]}/inspection-form")
    expect(offered["wheels"].first["positions"].map { |place| place["kind"] }).to include("lip")
    expect(offered["methods"].find { |method| method["id"] == "caliper" }["parts"]).to include("lip")
    expect(fields(ask(:post, inspections, inspection("2026-05-16", "60000", lip("9"))))).to eq(
      "readings.0.values.0" => "out_of_range"
    )
    logged = ask(:post, inspections, inspection("2026-05-16", "60000", lip("0.8")))
    rows = ask(:get, "/inspections/#{logged["id"]}")["readings"]
    expect(rows.map { |row| row.values_at("label", "value", "unit") }).to eq([["front left lip", "0.8", "mm"]])
    wrong = { **lip("1"), part: "wheel" }
    expect(fields(ask(:post, inspections, inspection("2026-05-16", "60000", wrong)))).to eq(
      "readings.0.part" => "unknown_choice"
    )
  end
end
