# frozen_string_literal: true

require "json"
require "open3"
require "stringio"
require "tmpdir"

RSpec.describe Graver::CLI::ForecastCommand do
  around { |example| Dir.mktmpdir { |folder| Dir.chdir(folder) { example.run } } }

  let(:out) { StringIO.new }
  let(:err) { StringIO.new }
  let(:header) { "date,odometer,odometer_unit,axle,side,part,pad,event,method,value,upper,unit,overall,note" }
  let(:specification) do
    {
      as_of: {
        date: "2024-08-01",
        odometer_km: 68_000
      },
      axles: {
        front: {
          pad: {
            new_mm: 11,
            limit_mm: 3,
            backing_mm: 5
          },
          rotor: {
            new_mm: 25,
            discard_mm: 23
          }
        },
        rear: {
          pad: {
            limit_mm: 3
          }
        }
      }
    }
  end
  let(:rows) do
    [
      "2023-01-10,40000,km,front,,pad,,fit,,11,,mm,false,",
      "2023-09-10,52000,km,front,left,pad,inner,reading,caliper,9.1,,mm,false,",
      "2023-09-10,52000,km,front,left,pad,outer,reading,gauge,9,10,mm,false,\"a note, quoted\"",
      "2024-06-10,41010,mi,front,left,pad,inner,reading,caliper,12.1,,mm,true,",
      "2024-06-10,66000,km,front,right,pad,inner,reading,percent,65,,percent,false,",
      "2024-06-10,66000,,front,right,rotor,,reading,micrometer,24.1,,mm,false,"
    ]
  end

  def run(*arguments) = described_class.new(out:, err:, knowledge: KNOWLEDGE).call(arguments)

  def write(name, rows, specification)
    File.write("#{name}.csv", [header, *rows].join("\n"))
    File.write("#{name}.json", JSON.generate(specification))
  end

  it "prints the forecast in the open format" do
    write("log", rows, specification)
    expect(run("log.csv", "--spec", "log.json")).to eq(0)
    document = JSON.parse(out.string)
    expect(document).to include(
      "format" => "graver-forecast/1",
      "as_of" => {
        "date" => "2024-08-01",
        "odometer_km" => 68_000.0
      }
    )
    front = document["axles"]["front"]
    expect(front.keys).to eq(%w[first_pad pads first_rotor rotors look_again_km doubted])
    expect(front["pads"].keys).to eq(%w[left_inner left_outer right_inner right_outer])
    expect(front["first_pad"]["distance_km"].keys).to eq(%w[p05 p10 p25 p50 p75 p90 p95])
    expect(front["first_pad"]["distance_km"]["p50"]).to be <=
      front["pads"].values.map { |pad| pad["distance_km"]["p50"] }.min
    expect(front["look_again_km"]).to be_between(500, front["first_pad"]["distance_km"]["p25"])
    expect(document["axles"]["rear"]).to include(
      "first_pad" => nil,
      "why" => include("first_pad" => /no pad has been fitted/)
    )
    expect(err.string).to be_empty
  end

  it "reports bad rows by line and column, uses the good ones, and fails with --strict" do
    bad = [
      "2024-06-10,66000,km,front,right,pad,outer,reading,caliper,abc,,mm,false,",
      "soon,66000,km,front,right,pad,outer,reading,magic,5,,mm,maybe,",
      "2024-07-01,30000,km,front,left,pad,outer,reading,caliper,7,,mm,false,",
      "2024-07-02,67000,km,middle,left,pad,outer,reading,caliper,7,,mm,false,",
      "2024-07-02,67000,km,front,left,pad,outer,reading,caliper,\"7,,mm,false,"
    ]
    write("log", rows + bad, specification)
    expect(run("log.csv", "--spec", "log.json")).to eq(0)
    expect(err.string.lines.map(&:chomp)).to include(
      /\A8: value: Enter a number/,
      /\A9: date: Enter a date/,
      /\A9: method: Choose/,
      /\A9: overall:/,
      /\A10: odometer: The odometer goes down/,
      /\A11: axle: Choose front or rear/,
      /\A12: row: This line can't be split/
    )
    expect(JSON.parse(out.string)["axles"]["front"]["first_pad"]).not_to be_nil
    expect(run("log.csv", "--spec", "log.json", "--strict")).to eq(2)
  end

  it "forecasts a folder and names the logs that failed" do
    write("good", rows, specification)
    write("bad", rows, { axles: { front: { pad: { limit_mm: "three" } } } })
    File.write("alone.csv", header)
    expect(run(".", "--out", "answers")).to eq(1)
    expect(Dir.children("answers")).to eq(["good.json"])
    expect(err.string).to include("bad: bad.json: axles.front.pad.limit_mm: Give a number").and include("alone: ")
  end

  it "rejects a wrong call, an empty log and invalid bytes without a trace" do
    expect([run, run("log.csv"), run("--spec")]).to eq([2, 2, 2])
    write("empty", [], specification.except(:as_of))
    File.binwrite("bytes.csv", "\xFF\xFE\x00\x01")
    File.write("bytes.json", JSON.generate(specification))
    expect([run("empty.csv", "--spec", "empty.json"), run("bytes.csv", "--spec", "bytes.json")]).to eq([1, 0])
    expect(err.string).to include("as_of: is missing").and include("Add the missing columns to the header")
  end

  it "runs as a program" do
    write("log", rows, specification)
    output, errors, status =
      Open3.capture3(File.expand_path("../../bin/graver", __dir__), "forecast", "log.csv", "--spec", "log.json")
    expect([status.exitstatus, errors, JSON.parse(output)["format"]]).to eq([0, "", "graver-forecast/1"])
  end
end
